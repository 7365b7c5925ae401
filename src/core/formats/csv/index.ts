export { parseStudents, type StudentRow } from './students';
export { cleanNickname, nicknameKey } from './nickname';
export { CSV_DIALECTS, csvRows, readCsv, readTable, toCsv, type Cell, type CsvDialect } from './table';
