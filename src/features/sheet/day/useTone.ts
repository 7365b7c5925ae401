'use client';

import { useEffect, useRef, useState } from 'react';

/** Loudness of each tone, of 1: quiet in a quiet room. */
const VOLUME = 0.05;
const FADE_SECONDS = 0.03;

/** A tone, and a reference beside it; silent until it is started by hand. */
export function useTone(hertz: number, reference: number | undefined) {
  const audio = useRef<{
    context: AudioContext;
    own: OscillatorNode;
    other: OscillatorNode;
    beside: GainNode;
  }>(undefined);
  const [sounding, setSounding] = useState(false);
  const [refused, setRefused] = useState('');
  useEffect(() => {
    const now = audio.current;
    if (!now) return;
    const { currentTime } = now.context;
    now.own.frequency.setTargetAtTime(hertz, currentTime, FADE_SECONDS);
    now.other.frequency.setTargetAtTime(reference ?? hertz, currentTime, FADE_SECONDS);
    now.beside.gain.setTargetAtTime(reference === undefined ? 0 : VOLUME, currentTime, FADE_SECONDS);
  }, [hertz, reference]);
  const stop = () => {
    void audio.current?.context.close();
    audio.current = undefined;
    setSounding(false);
  };
  useEffect(() => () => void audio.current?.context.close(), []);
  const start = () => {
    if (typeof AudioContext === 'undefined')
      return setRefused('This browser plays no sound; save it as WAV instead.');
    const context = new AudioContext();
    const [own, other] = [context.createOscillator(), context.createOscillator()];
    const [loud, beside] = [context.createGain(), context.createGain()];
    own.type = 'square';
    other.type = 'triangle';
    own.frequency.value = hertz;
    other.frequency.value = reference ?? hertz;
    loud.gain.value = VOLUME;
    beside.gain.value = reference === undefined ? 0 : VOLUME;
    own.connect(loud).connect(context.destination);
    other.connect(beside).connect(context.destination);
    own.start();
    other.start();
    audio.current = { context, own, other, beside };
    setRefused('');
    setSounding(true);
  };
  return { sounding, refused, toggle: () => (sounding ? stop() : start()) };
}
