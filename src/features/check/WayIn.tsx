import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Modal from 'react-bootstrap/Modal';
import type { Code } from '@/server/repositories/codes';
import { clockTime } from '@/ui/dates';

interface Props {
  readonly code: Code;
  readonly address: string;
  readonly title: string;
}

/** A code to come in by, as letters and as a picture for phones; filling the screen for the back row. */
export function WayIn({ code, address, title }: Props) {
  const [large, setLarge] = useState(false);
  const picture = (size: number | string) => (
    <QRCodeSVG
      value={`${address}/join?code=${code.code}`}
      size={typeof size === 'number' ? size : undefined}
      style={typeof size === 'string' ? { width: size, height: size } : undefined}
      marginSize={2}
      title={`Way in for ${title.toLowerCase()}`}
    />
  );
  const where = `${address.replace(/^https?:\/\//u, '')}/join`;
  return (
    <>
      {picture(168)}
      <div>
        <div className="code">{code.code}</div>
        <div className="small-print">
          at {where}, until {clockTime(code.endsAt)}
        </div>
        <Button size="sm" variant="quiet" onClick={() => setLarge(true)}>
          Fill the screen with it
        </Button>
        {/^https?:\/\/(127\.0\.0\.1|localhost|\[::1\])/u.test(address) && (
          <div className="small-print">
            You opened the program by an address of this machine alone: others reach it by the one it has on
            their network.
          </div>
        )}
      </div>
      <Modal
        show={large}
        fullscreen
        onHide={() => setLarge(false)}
        aria-label={`Way in for ${title.toLowerCase()}`}
      >
        <Modal.Header closeButton>
          <Modal.Title>{where}</Modal.Title>
        </Modal.Header>
        <Modal.Body className="way-in-large">
          {picture('min(68vh, 92vw)')}
          <div className="code">{code.code}</div>
        </Modal.Body>
      </Modal>
    </>
  );
}
