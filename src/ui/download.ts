/** Hands a text, or bytes, to the browser as a file. */
export function saveAs(name: string, type: string, text: string | Uint8Array<ArrayBuffer>): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 1000);
}

/** A file name from a title: `pier-lamp`. */
export function slug(title: string): string {
  const plain = title
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/gu, '-');
  return plain.replace(/^-|-$/gu, '') || 'lesson';
}
