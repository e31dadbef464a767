import type { Schemas } from '../lib/api';
import { moment } from '../lib/format';
import { Notice } from '../ui/Notice';

/** Checks that were let go: what does not hold, who let it go and why. Whoever judges sees them first. */
export function Waivers({ waivers }: { waivers: Schemas['WaiverRow'][] }) {
  if (waivers.length === 0) return null;
  return (
    <Notice look="warn">
      {waivers.map((one) => (
        <p key={one.check}>
          {one.fault} Waived by {one.by}, {moment(one.at)}: {one.reason}
        </p>
      ))}
    </Notice>
  );
}
