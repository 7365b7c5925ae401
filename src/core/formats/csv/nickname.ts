/** Signs that show nothing: joiners, marks of direction, soft hyphens, fillers, variation selectors. */
const INVISIBLE = /[\p{Default_Ignorable_Code_Point}\p{Cc}]/gu;

/** A name as it is kept: without signs that show nothing, accents composed, one space between words. */
export function cleanLine(text: string): string {
  return text.normalize('NFC').replace(INVISIBLE, '').replace(/\s+/gu, ' ').trim();
}

/**
 * Letters of other scripts that look like Latin ones, and figures that look like letters, each row read as its first.
 * Source: the shapes themselves, as a screen shows them; in the manner of Unicode Technical Standard 39 (skeletons).
 */
const ALIKE = [
  'aаαɑ',
  'bЬƅ',
  'cсϲ',
  'dԁ',
  'eеё',
  'gɡ',
  'hһн',
  'iіιı1l|ӏ',
  'jјϳ',
  'kкκ',
  'mм',
  'nոпη',
  'oоο0σ',
  'pрρ',
  'qԛ',
  'rг',
  'sѕ',
  'tтτ',
  'uυս',
  'vνѵ',
  'wԝшω',
  'xхχ',
  'yуγү',
  'zᴢζ',
  'bвβ',
] as const;

const READ_AS = new Map(
  ALIKE.flatMap((row) => [...row].slice(1).map((sign) => [sign, row.charAt(0)] as const)),
);

/**
 * What two nicknames share when a class would mix them up: letter case of any script, width, invisible signs and
 * look-alikes make no difference. Accents do.
 */
export function nicknameKey(nickname: string): string {
  const folded = cleanLine(nickname).normalize('NFKC').toUpperCase().toLowerCase().normalize('NFC');
  return [...folded].map((sign) => READ_AS.get(sign) ?? sign).join('');
}
