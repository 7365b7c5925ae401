import { cheatSheet } from '@/core';
import { CheatSheetPage } from '@/features/cheatSheet/CheatSheetPage';
import { houseStyle } from '@/server/repositories/settings';
import { shelf, stockRows } from '@/server/repositories/stock';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Cheat sheet' };

export default async function Page() {
  const [style, shelved, stock] = await Promise.all([houseStyle(), shelf(), stockRows()]);
  return <CheatSheetPage sheet={cheatSheet(style.value, shelved, stock)} />;
}
