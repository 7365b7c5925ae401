/** What the server does once when it starts: it opens the database, so that what is wrong with it is said at once. */
export async function register(): Promise<void> {
  if (process.env['NEXT_RUNTIME'] !== 'nodejs') return;
  const { startHouse } = await import('./server/start');
  await startHouse();
}
