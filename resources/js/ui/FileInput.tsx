interface Props {
  id?: string;
  accept: string;
  disabled?: boolean;
  onFile: (file: File) => void;
}

/** Chooses a file; the same one may be chosen again. */
export function FileInput({ id, accept, disabled = false, onFile }: Props) {
  return (
    <input
      id={id}
      type="file"
      accept={accept}
      disabled={disabled}
      className="file:mr-3 file:h-7 file:rounded-xs file:border file:border-solid file:border-strong file:bg-sheet file:px-2"
      onChange={(event) => {
        const file = event.target.files?.[0];
        event.target.value = '';
        if (file) onFile(file);
      }}
    />
  );
}
