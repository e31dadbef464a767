import { Notice } from '../ui/Notice';

/** Codes for when the device is lost, while they are shown. */
export function RecoveryCodes({ codes }: { codes: string[] }) {
  return (
    <div className="space-y-2">
      <Notice look="good">
        Recovery codes, shown this once: each lets you in one time when your device is lost. Keep them in a safe place.
      </Notice>
      <ul aria-label="Recovery codes" className="grid w-fit grid-cols-2 gap-x-8 font-mono">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
    </div>
  );
}
