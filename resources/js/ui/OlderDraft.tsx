import { Button } from './Button';
import { Notice } from './Notice';

interface Props {
  /** What was typed over something that somebody has saved anew since. */
  text: string | undefined;
  onTake: (text: string) => void;
  onDrop: () => void;
}

/** Shows what was typed and not saved, when what it was typed over has changed meanwhile: the person chooses. */
export function OlderDraft({ text, onTake, onDrop }: Props) {
  if (text === undefined) return null;
  return (
    <Notice>
      <p>This was changed after you typed:</p>
      <blockquote className="my-1 border-l border-rule pl-2 whitespace-pre-line text-ink">{text}</blockquote>
      <Button look="quiet" className="!px-0" onClick={() => onTake(text)}>
        Use what I typed
      </Button>{' '}
      <Button look="quiet" onClick={onDrop}>
        Discard it
      </Button>
    </Notice>
  );
}
