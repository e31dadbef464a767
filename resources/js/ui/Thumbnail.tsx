/** A sheet or picture, small: what it shows is told beside it. Under the pointer it is seen larger. */
export function Thumbnail({ file }: { file: string | null }) {
  if (file === null) return <span aria-hidden className="inline-block w-9" />;
  return (
    <span aria-hidden className="group/small relative inline-block h-6 w-9 align-middle">
      <img
        src={`/api/files/${file}/thumbnail`}
        alt=""
        loading="lazy"
        draggable={false}
        className="h-6 w-9 border border-rule bg-white object-contain"
      />
      <img
        src={`/api/files/${file}/thumbnail`}
        alt=""
        loading="lazy"
        className="pointer-events-none absolute top-full left-0 z-20 hidden w-60 max-w-none border border-strong bg-white group-hover/small:block"
      />
    </span>
  );
}
