import { EventEmitter } from 'node:events';

const held = globalThis as { mivvetLive?: EventEmitter };

function bell(): EventEmitter {
  if (!held.mivvetLive) {
    held.mivvetLive = new EventEmitter();
    // Every open grid and bench page listens.
    held.mivvetLive.setMaxListeners(0);
  }
  return held.mivvetLive;
}

/** Tells those who look at a session that something was added to it. */
export function tellSession(sessionId: number): void {
  bell().emit(String(sessionId));
}

/** @returns ends the listening */
export function listenTo(sessionId: number, heard: () => void): () => void {
  const name = String(sessionId);
  bell().on(name, heard);
  return () => void bell().off(name, heard);
}
