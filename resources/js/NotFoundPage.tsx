import { Link } from 'react-router';
import { Page } from './ui/Page';

export function NotFoundPage() {
  return (
    <Page title="There is no such page">
      <p>
        Go to the{' '}
        <Link to="/" className="text-accent underline">
          Desk
        </Link>{' '}
        or look something up with Ctrl+K.
      </p>
    </Page>
  );
}
