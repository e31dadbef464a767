/** What is dragged from engineering onto an operation: keys of engineering lines. */
const TYPE = 'application/x-engineering-lines';

export const carry = (data: DataTransfer, keys: string[]) => {
  data.setData(TYPE, JSON.stringify(keys));
  data.effectAllowed = 'copy';
};

export const isCarried = (data: DataTransfer) => data.types.includes(TYPE);

export const carried = (data: DataTransfer) => JSON.parse(data.getData(TYPE) || '[]') as string[];
