import { manufacturing } from './manufacturing';
import { notices } from './notices';
import { orders } from './orders';
import { people } from './people';
import { planning } from './planning';
import { problems } from './problems';
import { register } from './register';
import { requests } from './requests';
import { setUp } from './setUp';
import { systems } from './systems';
import { tasks } from './tasks';
import { structures } from './structures';

/** Everything the screens read. A key begins with what it is about, so that an act can have it read anew; see touches. */
export const queries = {
  ...people,
  ...register,
  ...problems,
  ...requests,
  ...orders,
  ...structures,
  ...manufacturing,
  ...planning,
  ...setUp,
  ...systems,
  ...tasks,
  ...notices,
};
