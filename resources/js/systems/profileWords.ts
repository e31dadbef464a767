import type { Schemas } from '../lib/api';

export type ProfileRule = Schemas['HandoverProfileRule'];

type Field = ProfileRule['fields'][number];
type Structure = ProfileRule['structures'][number];
type Moment = ProfileRule['moments'][number];

export const targets = {
  folder: 'Folder of the installation',
  sftp: 'SFTP',
  http: 'HTTP',
} as const satisfies Record<ProfileRule['target'], string>;

export const formats = { xml: 'XML', json: 'JSON', csv: 'CSV' } as const satisfies Record<
  ProfileRule['format'],
  string
>;

export const moments: Record<Moment, string> = {
  released: 'An order is released',
  taken: 'Planning has accepted a release',
  documents: 'Planning is told about open documents',
  corrected: 'Planning is corrected',
};

export const handoverStructures: Record<Structure, string> = {
  engineering: 'Engineering structures',
  manufacturing: 'Manufacturing structures and routings',
  item_data: 'Item data',
  document: 'Open documents',
};

/** What entries of a hand-over say, besides what they are about, by what of. */
export const fieldGroups: Record<string, Partial<Record<Field, string>>> = {
  Revision: { supersedes: 'Supersedes', disposition: 'Disposition', batch: 'Batch size' },
  Line: {
    find: 'Find number',
    component: 'Component',
    componentRevision: 'Revision of component',
    replaces: 'Replaces',
    quantity: 'Quantity',
    unit: 'Unit',
    designators: 'Reference designators',
    notes: 'Notes',
    phantom: 'Phantom',
    byProduct: 'By-product',
    firstDay: 'First day',
    lastDay: 'Last day',
    scrap: 'Scrap',
  },
  Operation: {
    operation: 'Operation',
    operationTitle: 'Title',
    workCentre: 'Work centre',
    setUp: 'Set-up time',
    run: 'Run time',
    runPer: 'Run time per',
    supplier: 'Supplier',
    cost: 'Cost',
    leadTime: 'Lead time',
    instruction: 'Instruction',
    tools: 'Tools',
    inspection: 'Inspection',
    specification: 'Specification',
  },
  'Item, when it is new': {
    title: 'Title',
    itemUnit: 'Unit',
    supply: 'Supply',
    itemLeadTime: 'Lead time',
    standardCost: 'Standard cost',
  },
  'Item data': { field: 'Field', of: 'Plant or attribute', value: 'Value' },
  'Open document': {
    document: 'Document',
    documentKind: 'Kind',
    place: 'Place',
    serial: 'Serial number',
    way: 'Decision',
    toRevision: 'To revision',
    toItem: 'To item',
    due: 'Due',
  },
};
