import { Button } from '../ui/Button';

interface Props {
  /** What saving it is called. */
  save: string;
  /** Whether it is retired; null: it is new. */
  retired: boolean | null;
  busy: boolean;
  onRetire: (retired: boolean) => void;
  onCancel: () => void;
}

/** The foot of a form that sets up something which is retired and never deleted. */
export function SaveOrRetire({ save, retired, busy, onRetire, onCancel }: Props) {
  return (
    <div className="flex gap-2">
      <Button type="submit" look="main" busy={busy}>
        {save}
      </Button>
      {retired !== null && (
        <>
          <Button look="quiet" busy={busy} onClick={() => onRetire(!retired)}>
            {retired ? 'Reinstate' : 'Retire'}
          </Button>
          <Button look="quiet" onClick={onCancel}>
            Cancel
          </Button>
        </>
      )}
    </div>
  );
}
