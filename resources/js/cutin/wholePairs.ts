import type { Schemas } from '../lib/api';

type Question = Schemas['CutInQuestion'];

/** The question as far as it can be asked: the pairs of which both parts are named. */
export function wholePairs(question: Question): Question {
  return { ...question, pairs: question.pairs.filter((pair) => pair.old !== '' && pair.new !== '') };
}
