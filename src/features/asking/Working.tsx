'use client';

import Button from 'react-bootstrap/Button';
import ProgressBar from 'react-bootstrap/ProgressBar';
import './working.css';

/** What was stopped, with a way to begin it again. */
export function Stopped({ onAgain }: { onAgain: () => void }) {
  return (
    <p className="pt-2 mb-0" role="status">
      Cancelled.{' '}
      <Button variant="text" className="btn-text" onClick={onAgain}>
        Work it out again
      </Button>
    </p>
  );
}

/** How far long work is, beside its heading, with a way to stop it; it shows only when the work takes a while. */
export function Working({ label, share, onStop }: { label: string; share: number; onStop: () => void }) {
  return (
    <div className="working no-print">
      {/* Only a bar within a bar passes its name on to what assistive software reads. */}
      <ProgressBar>
        <ProgressBar isChild now={share * 100} aria-label={label} />
      </ProgressBar>
      <Button variant="text" onClick={onStop}>
        Cancel
      </Button>
    </div>
  );
}
