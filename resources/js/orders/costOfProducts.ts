import type { Schemas } from '../lib/api';
import { signed } from '../lib/format';

/** What one unit of each product costs more, in a line: "100-0012 +15.30 EUR". */
export const costOfProducts = ({ consequences, redlines }: Schemas['Review']) =>
  consequences.products.map((one) => `${one.product} ${signed(one.difference)} ${consequences.currency}`).join(', ') ||
  (redlines.length === 0 ? 'see below, plant by plant' : 'no product contains it');
