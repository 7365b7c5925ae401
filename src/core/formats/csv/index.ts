export { parseStudents, type StudentRow } from './students';
export { cleanLine, nicknameKey } from './nickname';
export { CSV_DIALECTS, csvRows, readTable, toCsv, type Cell, type CsvDialect } from './table';
