import type { Schemas } from '../lib/api';

/** Why somebody is told. */
export const causes: Record<Schemas['NoticeRow']['cause'], string> = {
  to_do: 'needs you',
  mentioned: 'mentions you',
  informed: 'sent to you',
  takes_part: 'you take part',
  watches: 'you watch',
};
