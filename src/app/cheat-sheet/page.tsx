import { cheatSheet } from '@/core';
import { admit } from '@/server/access/admit';
import { CheatSheetPage } from '@/features/cheatSheet/CheatSheetPage';
import { houseStyle } from '@/server/repositories/settings';
import { shelf, stockRows } from '@/server/repositories/stock';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Cheat sheet' };

export default async function Page() {
  await admit('/cheat-sheet');
  const [style, shelved, stock] = await Promise.all([houseStyle(), shelf(), stockRows()]);
  return <CheatSheetPage sheet={cheatSheet(style.value, shelved, stock)} />;
}
