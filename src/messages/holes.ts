/** `L+3` as people say it: the + rail on the left, beside row 3; its own holes have gaps, and would count otherwise. */
export function holeName(hole: string): string {
  const rail = /^([LR])([+-])(\d+)$/u.exec(hole);
  if (!rail) return cardHole(hole) ?? hole;
  return `${rail[1] === 'L' ? 'left' : 'right'} ${rail[2] === '+' ? '+' : '−'} rail beside row ${rail[3]}`;
}

/** Places on a card: `p3` is lane 3 on the plus tape, `1s3` the top of the first short tape there. */
function cardHole(hole: string): string | undefined {
  const found = /^(?:([pm])|(\d)([st]))(\d+)$/u.exec(hole);
  if (!found) return undefined;
  const [, power, stub, end, lane] = found;
  const where = lane === '0' ? 'at the cell' : `in lane ${lane}`;
  if (power) return `the ${power === 'p' ? 'plus' : 'minus'} tape ${where}`;
  return `the ${end === 's' ? 'top' : 'foot'} of short tape ${stub} ${where}`;
}

export function stripName(strip: string): string {
  if (/^[pm]$|^\ds\d+$/u.test(strip))
    return strip.length === 1
      ? holeName(`${strip}0`).replace(' at the cell', '')
      : `short tape ${strip.charAt(0)} of lane ${strip.slice(2)}`;
  if (/^[A-Z]{1,2}\d+$/u.test(strip)) return `pad ${strip}`;
  if (/^[A-Z]{1,2}( |$)/u.test(strip)) return `strip ${strip}`;
  if (strip.endsWith(' lower')) return `${stripName(strip.replace(' lower', ''))}, lower half`;
  const rail = /^([LR])([+-])$/u.exec(strip);
  if (rail) return `the ${rail[1] === 'L' ? 'left' : 'right'} ${rail[2] === '+' ? '+' : '−'} rail`;
  return `row ${strip.replace(' ', ', ')}`;
}
