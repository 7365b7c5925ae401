'use client';

import { useEffect, useRef } from 'react';

/** Tells whether a screen still stands, for work that outlives it. */
export function useStands(): () => boolean {
  const stands = useRef(true);
  useEffect(() => {
    stands.current = true;
    return () => {
      stands.current = false;
    };
  }, []);
  return () => stands.current;
}
