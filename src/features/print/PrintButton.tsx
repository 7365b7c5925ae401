'use client';

import Button from 'react-bootstrap/Button';

export function PrintButton() {
  return (
    <Button className="no-print" onClick={() => window.print()}>
      Print
    </Button>
  );
}
