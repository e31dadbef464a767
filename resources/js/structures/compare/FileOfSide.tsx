import { useId } from 'react';
import { api, told } from '../../lib/api';
import { touches } from '../../lib/touches';
import { useAct } from '../../lib/useAct';
import { Button } from '../../ui/Button';
import { FileInput } from '../../ui/FileInput';

interface Props {
  /** The file that is compared now, by its id; empty for none. */
  name: string;
  error: string | undefined;
  onSet: (file: string, parents: string[]) => void;
}

/** A side may be read from a file: it is only compared, nothing of it is taken over. */
export function FileOfSide({ name, error, onSet }: Props) {
  const id = useId();
  const bring = useAct(
    touches.nothing,
    async (file: File) => {
      const body = new FormData();
      body.append('file', file);
      // What is sent is the form; the body beside it only satisfies the description.
      return told(api.POST('/api/comparison-files', { body: { file: '' }, bodySerializer: () => body }));
    },
    (brought) => onSet(brought.id, brought.parents),
  );
  const wrong = bring.error?.message ?? error;
  return (
    <div className="mt-2 flex flex-wrap items-baseline gap-x-3 text-sm">
      {name === '' ? (
        <>
          <label htmlFor={id} className="text-soft">
            or from a file
          </label>
          <FileInput id={id} accept=".csv,.xlsx,.json,.txt,.stp,.step" onFile={bring.mutate} />
        </>
      ) : (
        <>
          <span>From a file.</span>
          <Button look="quiet" className="!h-6" onClick={() => onSet('', [])}>
            Use our data instead
          </Button>
        </>
      )}
      {wrong !== undefined && <p className="w-full text-alarm">▸ {wrong}</p>}
    </div>
  );
}
