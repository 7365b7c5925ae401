declare module 'indefinite' {
  /** The words with the article that they take. */
  export default function indefinite(words: string): string;
}
