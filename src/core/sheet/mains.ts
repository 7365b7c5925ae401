import { finding, type Finding } from '../findings/finding';

const MAINS =
  /\b(mains|wall (?:socket|outlet|plug)s?|ceiling rose|(?:1[01]\d|12[07]|2[234]0) ?v(?:olts?)?(?: ?ac)?)\b/iu;
/** Words that keep a sentence away from the mains it names. */
const KEPT_AWAY =
  /\b(?:instead of|in (?:the )?place of|rather than|never|no|not|without|stand(?:s|ing)?[- ]in for|away from|nothing|forbidden|isolated from)\b/iu;

/** Sentences of a lesson's own words that speak of mains, as something to be refused; the first of each text. */
export function speaksOfMains(texts: readonly string[]): Finding[] {
  return texts.flatMap((text) => {
    const said = text
      .split(/[.!?;\n]+/u)
      .filter((sentence) => !KEPT_AWAY.test(sentence))
      .map((sentence) => MAINS.exec(sentence)?.[0])
      .find((words) => words !== undefined);
    return said === undefined ? [] : [finding('mains-in-text', { words: said }, 'caution')];
  });
}
