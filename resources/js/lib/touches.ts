/** What a key of queries begins with. */
export type Area =
  | 'absences'
  | 'categories'
  | 'choices'
  | 'cut-ins'
  | 'desk'
  | 'dossiers'
  | 'favourites'
  | 'form-templates'
  | 'forms'
  | 'groups'
  | 'imports'
  | 'items'
  | 'kinds'
  | 'meeting'
  | 'money'
  | 'orders'
  | 'planning'
  | 'paths'
  | 'plants'
  | 'questions'
  | 'reach'
  | 'references'
  | 'register'
  | 'reports'
  | 'tasks';

const LISTS: Area[] = ['dossiers', 'register', 'desk', 'meeting', 'reports'];
const OF_REQUEST: Area[] = ['money', 'questions', 'forms', 'reach', 'cut-ins'];

/** By what an act is done to: the areas that show it, and are read anew after it. */
export const touches = {
  absence: ['absences', 'orders', 'dossiers', 'desk', 'register'],
  attachment: ['dossiers', 'reports', 'meeting', 'items'],
  category: ['categories', 'items'],
  choice: ['choices'],
  cutIn: [...LISTS, 'cut-ins', 'money', 'orders'],
  document: ['items', 'dossiers', 'orders', 'desk'],
  figure: [...LISTS, 'money'],
  form: [...LISTS, ...OF_REQUEST],
  group: ['groups', 'tasks', 'desk', 'dossiers'],
  handover: ['dossiers', 'desk'],
  import: ['imports', 'items'],
  item: ['items'],
  kind: ['kinds', 'items'],
  meeting: LISTS,
  /** Asked, and nothing changed by it. */
  nothing: [],
  order: [...LISTS, 'orders', 'items', 'cut-ins', 'money'],
  planning: ['planning', 'dossiers', 'desk'],
  path: ['paths', 'orders', 'dossiers'],
  plant: ['plants', 'items'],
  question: [...LISTS, 'questions', 'money'],
  reach: [...LISTS, 'reach', 'money'],
  reference: ['references', 'dossiers', 'reports', 'register'],
  report: [...LISTS, 'items'],
  request: [...LISTS, ...OF_REQUEST, 'orders', 'items'],
  template: ['form-templates', 'forms'],
  view: ['favourites'],
  task: ['tasks', 'dossiers', 'desk'],
} satisfies Record<string, Area[]>;
