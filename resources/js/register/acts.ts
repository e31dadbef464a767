import { day } from '../lib/format';
import { attachmentRoles, dispositions, handoverStates, outcomes, priorities, supplyKinds } from '../lib/words';

/** What was done, in the words of the trade, for each act that the ledger records. */
export const acts: Record<string, string> = {
  'absence.set': 'Absence changed',
  'category.added': 'Category added',
  'category.set': 'Category changed',
  'change_notice.acknowledged': 'Change notice acknowledged',
  'change_notice.issued': 'Change notice issued',
  'change_notice.sent': 'Change notice sent',
  'choice.added': 'Site, reason or source added',
  'choice.set': 'Site, reason or source changed',
  'comment.added': 'Comment',
  'comment.pinned': 'Comment pinned',
  'comment.unpinned': 'Comment unpinned',
  'distribution_list.set': 'Distribution list changed',
  'document.adopts': 'Document adopts newest revision',
  'document.linked': 'Document linked',
  'document.unlinked': 'Document unlinked',
  'duties.separated': 'Separation of duties changed',
  'figure.said': 'Figure overridden',
  'figure.taken_back': 'Override removed',
  'file.attached': 'File uploaded',
  'file.taken_away': 'File removed',
  'form.handed_out': 'Form issued',
  'form.taken_back': 'Form import undone',
  'form.taken_in': 'Form imported',
  'form.withdrawn': 'Form withdrawn',
  'form_template.added': 'Template added',
  'form_template.file_replaced': 'Template file replaced',
  'form_template.set': 'Template changed',
  'group.set': 'Group changed',
  'hand_over.partly_refused': 'Hand-over partly rejected',
  'hand_over.refused': 'Hand-over rejected',
  'hand_over.sent_again': 'Hand-over resent',
  'hand_over.taken': 'Hand-over accepted',
  'hand_over.unanswered': 'Hand-over not answered',
  'import.done': 'File imported',
  'item.added': 'Item created',
  'kind.set': 'Revision sequence changed',
  'meeting.arranged': 'Meeting arranged',
  'change.reference_added': 'Reference added',
  'change.reference_removed': 'Reference removed',
  'order.edits_transferred': 'Edits carried over',
  'order.edited_together': 'Several items edited together',
  'order.items_named': 'Items named',
  'order.items_taken_off': 'Affected items removed',
  'order.check_waived': 'Check waived',
  'order.waiver_withdrawn': 'Waiver withdrawn',
  'order.freed': 'Subordinate to none any more',
  'order.subordinated': 'Made subordinate',
  'order.goes_on': 'Order goes on',
  'order.on_hold': 'Order put on hold',
  'order.step_reassigned': 'Approval step reassigned',
  'order.step_skipped': 'Approval step skipped',
  'order.stroke_redone': 'Edits of several items redone',
  'order.task_edits_redone': 'Edits of a task redone',
  'order.task_edits_undone': 'Edits of a task undone',
  'order.stroke_undone': 'Edits of several items undone',
  'order.closed': 'Order closed',
  'item.introduced': 'Introduced to planning',
  'order.new_number_given': 'Gave an item a new number',
  'order.model_part_wanted': 'Decided what of a design model is wanted',
  'order.new_number_taken_back': 'Took a new number back',
  'order.item_named': 'Affected item set',
  'order.plant_follows': 'Plant takes over later',
  'order.plant_follows_no_more': 'Plant no longer takes over later',
  'order.item_taken_off': 'Affected item removed',
  'order.opened': 'Opened for revision',
  'order.planned': 'Order planned',
  'order.raised': 'Order created',
  'order.request_taken_out': 'Request taken out of the order',
  'order.released': 'Order released',
  'order.sent_back': 'Sent back',
  'order.sent_to_review': 'Sent to review',
  'order.signed': 'Signed',
  'order.withdrawn': 'Order withdrawn',
  'plant.set': 'Plant calendar changed',
  'question.answered': 'Question answered',
  'question.asked': 'Question asked',
  'question.withdrawn': 'Question withdrawn',
  'reach.left_out': 'Left out of scope',
  'reach.taken_back': 'Decision on scope undone',
  'reach.taken_in': 'Taken into scope',
  'report.answered': 'Report answered',
  'report.duplicate': 'Marked as duplicate',
  'report.gathered': 'Report linked to request',
  'report.raised': 'Problem reported',
  'report.returned': 'Report sent back',
  'report.taken_off': 'Report unlinked',
  'report.taken_up': 'Report reopened',
  'request.answered': 'Answer sent',
  'request.approved': 'Request approved',
  'request.assessed': 'Finding recorded',
  'request.cut_in_chosen': 'Cut-in day chosen',
  'request.gathered': 'Gathered into another request',
  'request.gathered_reports': 'Reports linked',
  'request.gathered_requests': 'Requests gathered',
  'request.lines_proposed': 'Opened items for lines that it proposes',
  'request.proposal_dropped': 'Proposes no lines any more',
  'request.ordered': 'Turned into an order',
  'request.raised': 'Request created',
  'request.rejected': 'Request rejected',
  'request.returned': 'Request sent back',
  'request.split': 'Request split',
  'request.taken_apart': 'Taken out of the gathered request',
  'revision.released': 'Revision released',
  'structure.add': 'Line added',
  'structure.change': 'Line changed',
  'structure.iteration_kept': 'Iteration saved',
  'structure.newer_brought_in': 'Newer revision merged in',
  'structure.redone': 'Edit redone',
  'structure.remove': 'Line removed',
  'structure.edited_together': 'Lines edited together',
  'structure.replace': 'Component replaced',
  'structure.undone': 'Edit undone',
  'structure.went_back': 'Returned to an iteration',
  'work_centre.set': 'Work centre changed',
  'work_centre.added': 'Work centre added',
  'path.set': 'Approval path changed',
  'person.identity_linked': 'Identity linked',
  'person.password_link_sent': 'Password link sent',
  'person.password_set': 'Password changed',
  'person.second_factor_set': 'Second factor changed',
  'person.set': 'Person changed',
  'person.sign_in_ended': 'Sign-in ended',
  'role.set': 'Role changed',
  'task.check_ticked': 'Check list ticked',
  'task.claimed': 'Task claimed',
  'task.commented': 'Comment on a task',
  'task.done': 'Task done',
  'task.handed_back': 'Task handed back',
  'task.handed_on': 'Task handed on',
  'task.made': 'Task created',
  'task.planned': 'Task changed',
  'task.reopened': 'Task reopened',
  'task.withdrawn': 'Task withdrawn',
  'token.issued': 'Token created',
  'token.withdrawn': 'Token withdrawn',
};

export function actOf(code: string): string {
  return acts[code] ?? code.replace('.', ' ').replaceAll('_', ' ');
}

const values: Record<string, string> = {
  ...outcomes,
  ...dispositions,
  ...handoverStates,
  ...priorities,
  ...supplyKinds,
  ...attachmentRoles,
  not_modelled: 'not modelled',
};
/** Details whose values are codes. */
const coded = ['outcome', 'disposition', 'severity', 'priority', 'role', 'kind', 'choice'];
const DAY = /^\d{4}-\d\d-\d\d$/;

function valueOf(name: string, value: unknown): string {
  if (Array.isArray(value)) return value.map((one) => valueOf(name, one)).join(', ');
  if (typeof value === 'object' && value !== null)
    return Object.entries(value)
      .map(([part, one]) => `${part.replaceAll('_', ' ')} ${valueOf(part, one)}`)
      .join(', ');
  const text = typeof value === 'string' ? value : JSON.stringify(value);
  if (coded.includes(name)) return values[text] ?? text.replaceAll('_', ' ');
  return DAY.test(text) ? day(text) : text;
}

/** The details of a record, each with its name; what is empty, and what only machines read, is left out. */
export function detailsOf(details: Record<string, unknown>): string {
  return Object.entries(details)
    .filter(([name, value]) => value !== null && value !== '' && !['digest', 'line', 'sha256'].includes(name))
    .map(([name, value]) => `${name.replaceAll('_', ' ')}: ${valueOf(name, value)}`)
    .join(' · ');
}
