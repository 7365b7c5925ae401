import { useEffect, useRef, useState } from 'react';
import type { Placement, Plan } from '@/core';
import { holeName } from '@/messages/holes';
import { listed } from '@/messages/grammar';

/** Says, to whoever hears the page, where a part is now that was moved, and no more. */
export function Moved({ plan, said }: { plan: Plan | undefined; said: string }) {
  const before = useRef(plan);
  const [words, setWords] = useState('');
  useEffect(() => {
    const moved = plan?.placements.find((now) => {
      const then = before.current?.placements.find(({ part }) => part === now.part);
      return then !== undefined && holesOf(then) !== holesOf(now);
    });
    if (moved) setWords(`${moved.part} in ${listed(Object.values(moved.legs).map(holeName))}.`);
    before.current = plan;
  }, [plan]);
  return (
    <p className="visually-hidden" role="status" data-heard="moved">
      {words && `${words} ${said}`}
    </p>
  );
}

function holesOf({ legs }: Placement): string {
  return Object.values(legs).join(' ');
}
