/** What a file or a message says, as it is; long ones scroll, by keys too. */
export function FileText({ label, children }: { label: string; children: string }) {
  return (
    <pre
      // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
      tabIndex={0}
      aria-label={label}
      role="region"
      className="max-h-96 overflow-auto border border-rule bg-paper p-2 font-mono text-[0.8rem]"
    >
      {children}
    </pre>
  );
}
