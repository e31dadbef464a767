import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { queries } from '../lib/queries';
import { useMay } from '../lib/session';
import { Loading } from '../ui/Loading';
import { ChangeNumber } from '../ui/Num';
import { Page } from '../ui/Page';
import { MoneyView } from './MoneyView';

/** Disposition of stock and open orders, and what a request costs once and every year. */
export function MoneyPage() {
  const { number = '' } = useParams();
  const dossier = useQuery(queries.dossier(number));
  const money = useQuery(queries.money(number));
  const request = dossier.data?.requests.find((one) => one.number === number);
  const maySay = useMay('assess_request');
  const open = request !== undefined && !['rejected', 'ordered', 'gathered'].includes(request.state);
  return (
    <Page
      title="Dispositions and cost"
      number={number}
      over={
        <span className="flex items-baseline gap-2">
          <ChangeNumber number={number} /> {request?.title}
        </span>
      }
    >
      <Loading query={money}>{(page) => <MoneyView number={number} page={page} maySay={maySay && open} />}</Loading>
    </Page>
  );
}
