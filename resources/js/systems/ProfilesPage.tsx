import { useQuery } from '@tanstack/react-query';
import type { Schemas } from '../lib/api';
import { queries } from '../lib/queries';
import { SetUpList, statusColumn, textColumn } from '../setup/SetUpList';
import { channelColumns } from './channelColumns';
import { ProfileForm } from './ProfileForm';
import { formats, handoverStructures, moments, targets } from './profileWords';

/** A name within a text: an abbreviation stays one. */
const inText = (name: string) => (name === name.toUpperCase() ? name : name.toLowerCase());

type Profile = Schemas['HandoverProfileRow'];

const gets = (row: Profile) =>
  row.structures.map((one) => handoverStructures[one].toLowerCase()).join(', ') +
  (row.plants.length === 0 ? '' : `; at ${row.plants.join(', ')}`);

/** What other systems than planning get of hand-overs. */
export function ProfilesPage() {
  const profiles = useQuery(queries.handoverProfiles());
  return (
    <SetUpList<Profile>
      title="Hand-over profiles"
      about="What other systems than planning get of a hand-over: which entries and fields, as a file of which format, where and when. Planning itself always gets all of it."
      label="Hand-over profiles"
      empty="No other system gets hand-overs yet."
      query={profiles}
      ability="connect_systems"
      width="max-w-none"
      columns={[
        textColumn('gets', 'Gets', gets),
        textColumn('when', 'When', (row) => row.moments.map((one) => moments[one].toLowerCase()).join(', ')),
        textColumn('as', 'As', (row) => `${formats[row.format]}, ${inText(targets[row.target])}`),
        ...channelColumns<Profile>(),
        statusColumn(),
      ]}
      form={(row, onDone) => (
        <ProfileForm
          key={row === null ? String(profiles.data?.length) : `${row.code} ${row.version}`}
          profile={row}
          onDone={onDone}
        />
      )}
    />
  );
}
