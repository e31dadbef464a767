/** What a key of queries begins with. */
export type Area =
  | 'absences'
  | 'accounts'
  | 'calendar'
  | 'categories'
  | 'change-notices'
  | 'choices'
  | 'cut-ins'
  | 'desk'
  | 'discussions'
  | 'distribution-lists'
  | 'dossiers'
  | 'favourites'
  | 'form-templates'
  | 'forms'
  | 'groups'
  | 'hand-overs'
  | 'imports'
  | 'items'
  | 'kinds'
  | 'me'
  | 'meeting'
  | 'notice-paces'
  | 'notices'
  | 'money'
  | 'old-documents'
  | 'orders'
  | 'packages'
  | 'planning'
  | 'paths'
  | 'people'
  | 'plants'
  | 'questions'
  | 'reach'
  | 'references'
  | 'register'
  | 'reports'
  | 'responsible'
  | 'roles'
  | 'second-factor'
  | 'separation'
  | 'sheet-addresses'
  | 'sheet-marks'
  | 'sign-ins'
  | 'systems'
  | 'tasks'
  | 'tokens'
  | 'watches';

const LISTS: Area[] = ['dossiers', 'register', 'desk', 'meeting', 'reports'];
const OF_REQUEST: Area[] = ['money', 'questions', 'forms', 'reach', 'cut-ins'];

/** By what an act is done to: the areas that show it, and are read anew after it. */
export const touches = {
  absence: ['absences', 'orders', 'dossiers', 'desk', 'register'],
  accountSafety: ['accounts'],
  attachment: ['dossiers', 'reports', 'meeting', 'items'],
  calendar: ['calendar'],
  category: ['categories', 'items'],
  changeNotice: ['change-notices', 'desk'],
  choice: ['choices'],
  cutIn: [...LISTS, 'cut-ins', 'money', 'orders'],
  discussion: ['discussions', 'dossiers'],
  distributionList: ['distribution-lists'],
  document: ['items', 'dossiers', 'orders', 'desk'],
  figure: [...LISTS, 'money'],
  form: [...LISTS, ...OF_REQUEST],
  group: ['groups', 'tasks', 'desk', 'dossiers'],
  handover: ['hand-overs', 'dossiers', 'desk'],
  import: ['imports', 'items'],
  item: ['items'],
  kind: ['kinds', 'items'],
  meeting: LISTS,
  /** Asked, and nothing changed by it. */
  nothing: [],
  notice: ['notices'],
  noticePace: ['notice-paces'],
  oldDocument: ['old-documents', 'dossiers', 'desk'],
  order: [...LISTS, 'old-documents', 'orders', 'items', 'cut-ins', 'money', 'change-notices'],
  person: ['accounts', 'people', 'roles', 'groups', 'me', 'orders', 'dossiers', 'desk'],
  package: ['packages'],
  planning: ['planning', 'dossiers', 'desk'],
  path: ['paths', 'orders', 'dossiers'],
  responsible: ['responsible', 'orders', 'dossiers', 'desk'],
  plant: ['plants', 'items'],
  question: [...LISTS, 'questions', 'money'],
  reach: [...LISTS, 'reach', 'money'],
  reference: ['references', 'dossiers', 'reports', 'register'],
  report: [...LISTS, 'items'],
  request: [...LISTS, ...OF_REQUEST, 'orders', 'items'],
  role: ['roles', 'accounts', 'people', 'me', 'orders', 'dossiers', 'desk'],
  sheetAddress: ['sheet-addresses'],
  sheetMark: ['sheet-marks'],
  secondFactor: ['second-factor'],
  separation: ['separation', 'orders', 'dossiers', 'desk'],
  signIns: ['sign-ins', 'tokens'],
  system: ['systems', 'hand-overs'],
  template: ['form-templates', 'forms'],
  token: ['tokens'],
  view: ['favourites'],
  watch: ['watches'],
  task: ['tasks', 'dossiers', 'desk', 'orders'],
  taskWork: [...LISTS, 'tasks', 'orders', 'items', 'money'],
} satisfies Record<string, Area[]>;
