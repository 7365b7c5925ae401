import { takeHouse } from '@/server/running';

/** Takes the house that it is given, says so, and keeps it until it is killed. */
const hold = takeHouse(process.argv[2] ?? '');
console.log('taken');
setInterval(() => void hold, 60_000);
