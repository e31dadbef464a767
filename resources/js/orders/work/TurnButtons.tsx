import { Button } from '../../ui/Button';

interface Props {
  of: { can_undo: boolean; can_redo: boolean };
  busy: boolean;
  onTurn: (which: 'undo' | 'redo') => void;
}

/** Takes the last edit back, or makes it again. */
export function TurnButtons({ of, busy, onTurn }: Props) {
  return (
    <>
      <Button disabled={!of.can_undo} busy={busy} onClick={() => onTurn('undo')}>
        Undo
      </Button>
      <Button disabled={!of.can_redo} busy={busy} onClick={() => onTurn('redo')}>
        Redo
      </Button>
    </>
  );
}
