import type { Schemas } from '../lib/api';
import { useMay } from '../lib/session';
import { PathPicture } from '../paths/PathPicture';
import { SteerPath } from '../paths/SteerPath';
import { Signatures } from '../paths/Signatures';

/** The path on which a request is judged, and all that was done on it where something was void, sent back, skipped or reassigned. */
export function RequestPath({ judged, open }: { judged: Schemas['JudgedRequest']; open: boolean }) {
  const steers = useMay('set_up');
  const isAllInPicture = judged.signatures.every((one) => one.meaning === 'signed' && !one.void);
  return (
    <div className="space-y-2">
      <PathPicture path={judged.path} tasks={`/changes/${judged.request}#tasks`} />
      {open && steers && <SteerPath number={judged.request} path={judged.path} of="request" />}
      {!isAllInPicture && (
        <Signatures rows={judged.signatures} voided="void since the request was changed or sent back" />
      )}
    </div>
  );
}
