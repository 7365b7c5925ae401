import '@/features/settings/settings.css';
import { admit } from '@/server/access/admit';
import Link from 'next/link';
import { MeterForm } from '@/features/settings/MeterForm';
import { StyleForm } from '@/features/settings/StyleForm';
import { Backups } from '@/features/settings/Backups';
import { Zone } from '@/features/settings/Zone';
import { Pictures } from '@/features/settings/Pictures';
import { Passphrase } from '@/features/settings/Passphrase';
import { WrongTries } from '@/features/access/WrongTries';
import { wrongTries } from '@/server/access/attempts';
import { backupState } from '@/server/backup/backUp';
import { environment } from '@/server/env';
import { houseStyle, houseZone, meter, pictureRule } from '@/server/repositories/settings';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'House style' };

export default async function SettingsPage() {
  await admit('/settings');
  const [style, ownMeter, pictures, zone] = await Promise.all([
    houseStyle(),
    meter(),
    pictureRule(),
    houseZone(),
  ]);
  const { demo } = environment();
  const tries = wrongTries();
  return (
    <div className="page">
      <div className="page-head">
        <h1>House style</h1>
        <Link prefetch={false} className="btn btn-quiet btn-sm" href="/glossary">
          Glossary
        </Link>
      </div>
      <div className="page-columns">
        <section className="ruled">
          <h2>How this house decides</h2>
          <StyleForm style={style.value} version={style.version} />
        </section>
        <section className="ruled">
          <h2>The class meter</h2>
          <MeterForm meter={ownMeter.value} version={ownMeter.version} />
          <div className="ruled pt-4">
            <Zone zone={zone.value.zone} version={zone.version} zones={Intl.supportedValuesOf('timeZone')} />
          </div>
          <div className="ruled pt-4">
            <Pictures days={pictures.value.days} version={pictures.version} />
          </div>
          <div className="ruled pt-4">
            <Backups state={backupState()} daily={!demo} />
          </div>
          {!demo && (
            <div className="ruled pt-4">
              <Passphrase />
              <h3 className="pt-3">Tried to come in</h3>
              {tries.length > 0 ? (
                <WrongTries tries={tries} />
              ) : (
                <p className="soft">Nobody but by a slip, since the program was started.</p>
              )}
            </div>
          )}
        </section>
      </div>
    </div>
  );
}
