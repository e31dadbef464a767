export const columnButton = 'target text-accent underline-offset-3 hover:underline';
