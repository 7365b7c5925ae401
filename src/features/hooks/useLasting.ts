import { useEffect, useState } from 'react';

/**
 * Whether something has been so for a while: what is over at once is not worth a flicker.
 *
 * @param afterMs how long, in milliseconds
 */
export function useLasting(is: boolean, afterMs: number): boolean {
  const [lasts, setLasts] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLasts(is), is ? afterMs : 0);
    return () => clearTimeout(timer);
  }, [is, afterMs]);
  return is && lasts;
}
