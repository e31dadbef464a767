import { Input } from '../ui/Input';
import { Notice } from '../ui/Notice';

/** What the messages of a webhook are signed with, told once. */
export function NewSecret({ name, secret }: { name: string; secret: string }) {
  return (
    <div className="space-y-2">
      <Notice look="good">
        Secret of {name}, shown this once. The receiver checks signatures with it (Standard Webhooks, HMAC-SHA256).
      </Notice>
      <Input
        readOnly
        aria-label="Secret"
        className="max-w-xl font-mono"
        value={secret}
        onFocus={(event) => event.target.select()}
      />
    </div>
  );
}
