import { finding, type Finding } from '../findings/finding';

/**
 * What is the matter with the format that a file says it has.
 *
 * @param json the file as read
 * @param wanted `mivvet.lesson/1`: what it is, and by which version it is written
 * @returns undefined where it is the one that is wanted
 */
export function strangeFormat(json: unknown, wanted: string): Finding | undefined {
  const format = (json as { format?: unknown } | null)?.format;
  if (format === wanted) return undefined;
  const found = typeof format === 'string' ? format.slice(0, 60) : 'no format';
  const [[kind, version], [ownKind, ownVersion]] = [found.split('/'), wanted.split('/')] as [
    string[],
    string[],
  ];
  const isNewer = kind === ownKind && Number(version) > Number(ownVersion);
  return finding(isNewer ? 'newer-format' : 'wrong-format', { wanted, found });
}
