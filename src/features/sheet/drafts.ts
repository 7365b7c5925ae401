import type { LessonContent } from '@/server/repositories/lessons';
import { kept } from '@/ui/kept';
import { newKey } from '@/ui/newKey';

/** What a tab keeps of a lesson until the database has it. */
export interface LessonDraft {
  readonly content: LessonContent;
  readonly at: string;
  /** Version of the lesson in the database that the changes were made to. */
  readonly version: number;
}

const startOf = (id: number) => `mivvet.lesson.${id}.`;
/** Other tabs answer within so long when they are asked who is there. */
const ANSWER_MS = 120;

/**
 * The drafts of one lesson in this browser. Each tab keeps its own, so that two never write over one another; a tab
 * that opens the lesson finds those whose tab is gone.
 */
export class Drafts {
  private readonly own: string;
  private readonly channel: BroadcastChannel | undefined;

  constructor(private readonly id: number) {
    this.own = `${startOf(id)}${newKey()}`;
    this.channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel(startOf(id));
    this.channel?.addEventListener('message', ({ data }) => {
      if (data === 'who is there?') this.channel?.postMessage(this.own);
    });
  }

  /** @returns whether this browser could keep it */
  keep(draft: LessonDraft): boolean {
    return kept.write(this.own, draft);
  }

  /** The database has everything that this tab knows. */
  settle(): void {
    kept.forget(this.own);
  }

  /** The newest draft whose tab is gone, and the key to forget it by. */
  async orphan(): Promise<{ readonly draft: LessonDraft; readonly key: string } | undefined> {
    const alive = new Set(await this.others());
    const found = kept
      .keys(startOf(this.id))
      .filter((key) => key !== this.own && !alive.has(key))
      .flatMap((key) => {
        const draft = kept.read<LessonDraft>(key);
        return draft ? [{ key, draft }] : [];
      });
    return found.sort((a, b) => b.draft.at.localeCompare(a.draft.at))[0];
  }

  close(): void {
    this.channel?.close();
  }

  private others(): Promise<string[]> {
    const { channel } = this;
    if (!channel || kept.keys(startOf(this.id)).length === 0) return Promise.resolve([]);
    return new Promise((resolve) => {
      const heard: string[] = [];
      const hear = ({ data }: MessageEvent<string>) => void heard.push(data);
      channel.addEventListener('message', hear);
      channel.postMessage('who is there?');
      setTimeout(() => {
        channel.removeEventListener('message', hear);
        resolve(heard);
      }, ANSWER_MS);
    });
  }
}
