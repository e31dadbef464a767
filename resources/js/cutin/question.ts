import type { Schemas } from '../lib/api';

export type Question = Schemas['CutInQuestion'];
export type Swap = Question['swaps'][number];
export type Said = NonNullable<Question['parts']>[number];

/**
 * The question as far as it can be asked: without fields that are still empty. A swap is left out in which nothing is named, or in which
 * nobody has said yet what comes: an empty field for it is not the same as nothing.
 */
export function whole(question: Question): Question {
  const swaps = question.swaps.filter(isSaid).map((swap) => ({
    ...swap,
    gone: swap.gone.filter((number) => number !== ''),
    come: swap.come.filter(({ item }) => item !== ''),
  }));
  return { ...question, swaps };
}

/** Whether a swap can be asked. */
export function isSaid(swap: Swap): boolean {
  const comes = swap.come.some(({ item }) => item !== '');
  return comes || (swap.come.length === 0 && swap.gone.some((number) => number !== ''));
}

/** Whether there is anything to ask. */
export function isReady(question: Question): boolean {
  return whole(question).swaps.length > 0;
}

/** All parts that go or come, each once. */
export function partsOf(question: Question): string[] {
  return [...new Set(whole(question).swaps.flatMap((swap) => [...swap.gone, ...swap.come.map(({ item }) => item)]))];
}

/** What is said of one part. */
export function saidOf(question: Question, item: string): Said {
  return question.parts?.find((one) => one.item === item) ?? { item };
}

/** The question with something else said of one part; what is emptied is not said any more. */
export function say(question: Question, item: string, change: Partial<Said>): Question {
  const next = Object.fromEntries(
    Object.entries<unknown>({ ...saidOf(question, item), ...change }).filter(
      ([, value]) => value !== undefined && value !== '',
    ),
  ) as unknown as Said;
  const others = (question.parts ?? []).filter((one) => one.item !== item);
  return { ...question, parts: Object.keys(next).length > 1 ? [...others, next] : others };
}

/** The question with another lever; without a value the lever is left. */
export function turn<Name extends keyof Question>(
  question: Question,
  name: Name,
  value: Question[Name] | undefined,
): Question {
  const others = Object.fromEntries(Object.entries(question).filter(([one]) => one !== name)) as unknown as Question;
  return value === undefined || value === '' ? others : { ...question, [name]: value };
}
