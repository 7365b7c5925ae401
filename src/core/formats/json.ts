import { accepted, finding, refused, type Outcome } from '../findings/finding';

/** Text as JSON, with the size looked at first. */
export function readJson(text: string, limitBytes: number): Outcome<unknown> {
  if (text.length > limitBytes) {
    return refused(finding('file-too-large', { bytes: text.length, limit: limitBytes }));
  }
  try {
    return accepted(JSON.parse(text) as unknown);
  } catch (error) {
    const detail = error instanceof Error ? (error.message.split('\n')[0] ?? '') : '';
    return refused(finding('not-json', { detail }));
  }
}
