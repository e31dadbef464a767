<?php

declare(strict_types=1);

namespace App\Notices;

/** The acts of which people are told, by their names in the ledger. */
enum ToldAct: string
{
    case ReportRaised = 'report.raised';
    case ReportAnswered = 'report.answered';
    case ReportReturned = 'report.returned';
    case ReportDuplicate = 'report.duplicate';
    case ReportTakenUp = 'report.taken_up';
    case ReportGathered = 'report.gathered';
    case RequestRaised = 'request.raised';
    case RequestAssessed = 'request.assessed';
    case RequestAnswered = 'request.answered';
    case RequestApproved = 'request.approved';
    case RequestRejected = 'request.rejected';
    case RequestReturned = 'request.returned';
    case RequestSigned = 'request.signed';
    case RequestMovedOn = 'request.moved_on';
    case RequestSentBack = 'request.sent_back';
    case RequestSignaturesVoid = 'request.signatures_void';
    case RequestStepGiven = 'request.step_reassigned';
    case RequestStepSkipped = 'request.step_skipped';
    case RequestGathered = 'request.gathered';
    case RequestOrdered = 'request.ordered';
    case CutInChosen = 'request.cut_in_chosen';
    case QuestionAsked = 'question.asked';
    case QuestionHandedOn = 'question.handed_on';
    case QuestionAnswered = 'question.answered';
    case OrderRaised = 'order.raised';
    case OrderPlanned = 'order.planned';
    case OrderOpened = 'order.opened';
    case OrderSentToReview = 'order.sent_to_review';
    case OrderSigned = 'order.signed';
    case OrderMovedOn = 'order.moved_on';
    case OrderWaits = 'order.waits';
    case OrderSentBack = 'order.sent_back';
    case StepGiven = 'order.step_reassigned';
    case StepSkipped = 'order.step_skipped';
    case OrderOnHold = 'order.on_hold';
    case OrderGoesOn = 'order.goes_on';
    case OrderReleased = 'order.released';
    case OrderWithdrawn = 'order.withdrawn';
    case OrderClosed = 'order.closed';
    case HandOverRefused = 'hand_over.refused';
    case HandOverPartlyRefused = 'hand_over.partly_refused';
    case HandOverTaken = 'hand_over.taken';
    case NotDelivered = 'delivery.undelivered';
    case NoticeIssued = 'change_notice.issued';
    case NoticeSent = 'change_notice.sent';
    case DueSoon = 'deadline.near';
    case Overdue = 'deadline.overdue';
    case Escalated = 'deadline.escalated';
    case CommentAdded = 'comment.added';
    case CommentPinned = 'comment.pinned';
    case TaskMade = 'task.made';
    case TaskHandedOn = 'task.handed_on';
    case TaskHandedBack = 'task.handed_back';
    case TaskReopened = 'task.reopened';
    case TaskDone = 'task.done';
    case TaskCommented = 'task.commented';

    /** As the ledger says it on screen. */
    public function label(): string
    {
        return match ($this) {
            self::ReportRaised => 'Problem reported',
            self::ReportAnswered => 'Report answered',
            self::ReportReturned => 'Report sent back',
            self::ReportDuplicate => 'Marked as duplicate',
            self::ReportTakenUp => 'Report reopened',
            self::ReportGathered => 'Report linked to request',
            self::RequestRaised => 'Request created',
            self::RequestAssessed => 'Finding recorded',
            self::RequestAnswered => 'Answer sent',
            self::RequestApproved => 'Request approved',
            self::RequestRejected => 'Request rejected',
            self::RequestReturned => 'Request sent back',
            self::RequestSigned => 'Request signed',
            self::RequestMovedOn => 'Request went on by itself',
            self::RequestSentBack => 'Sent back to a stage',
            self::RequestSignaturesVoid => 'Signatures void',
            self::RequestStepGiven => 'Approval step reassigned',
            self::RequestStepSkipped => 'Approval step skipped',
            self::RequestGathered => 'Gathered into another request',
            self::RequestOrdered => 'Turned into an order',
            self::CutInChosen => 'Cut-in day chosen',
            self::QuestionAsked => 'Question asked',
            self::QuestionHandedOn => 'Question handed on',
            self::QuestionAnswered => 'Question answered',
            self::OrderRaised => 'Order created',
            self::OrderPlanned => 'Order planned',
            self::OrderOpened => 'Opened for revision',
            self::OrderSentToReview => 'Sent to review',
            self::OrderSigned => 'Signed',
            self::OrderMovedOn => 'Review went on by itself',
            self::OrderWaits => 'Did not go to review by itself',
            self::OrderSentBack => 'Sent back',
            self::StepGiven => 'Approval step reassigned',
            self::StepSkipped => 'Approval step skipped',
            self::OrderOnHold => 'Order put on hold',
            self::OrderGoesOn => 'Order goes on',
            self::OrderReleased => 'Order released',
            self::OrderWithdrawn => 'Order withdrawn',
            self::OrderClosed => 'Order closed',
            self::HandOverRefused => 'Hand-over rejected',
            self::HandOverPartlyRefused => 'Hand-over partly rejected',
            self::HandOverTaken => 'Hand-over accepted',
            self::NotDelivered => 'Message not delivered',
            self::NoticeIssued => 'Change notice issued',
            self::NoticeSent => 'Change notice sent',
            self::DueSoon => 'Due soon',
            self::Overdue => 'Overdue',
            self::Escalated => 'Overdue, escalated',
            self::CommentAdded => 'Comment',
            self::CommentPinned => 'Comment pinned',
            self::TaskMade => 'Task created',
            self::TaskHandedOn => 'Task handed on',
            self::TaskHandedBack => 'Task handed back',
            self::TaskReopened => 'Task reopened',
            self::TaskDone => 'Task done',
            self::TaskCommented => 'Comment on a task',
        };
    }

    /** Whether it is told of one task only: to those whose task it is, not to all who take part in the change. */
    public function isOfTask(): bool
    {
        return str_starts_with($this->value, 'task.');
    }

    /** Whether a document goes to those whom it names, and nobody else is told. */
    public function isAddressed(): bool
    {
        return $this === self::NoticeIssued || $this === self::NoticeSent;
    }

    /** Whether those who watch an item that the change names are told: something begins, or comes to an end. */
    public function isOfItems(): bool
    {
        return match ($this) {
            self::RequestRaised,
            self::RequestApproved,
            self::RequestRejected,
            self::OrderOpened,
            self::OrderReleased,
            self::OrderWithdrawn
                => true,
            default => false,
        };
    }

    /** Whether somebody may have to act on the change now who had not before. */
    public function givesWork(): bool
    {
        return match ($this) {
            self::ReportRaised,
            self::ReportReturned,
            self::ReportTakenUp,
            self::RequestRaised,
            self::RequestAssessed,
            self::RequestAnswered,
            self::RequestApproved,
            self::RequestReturned,
            self::RequestSigned,
            self::RequestMovedOn,
            self::RequestSentBack,
            self::RequestSignaturesVoid,
            self::RequestStepGiven,
            self::RequestStepSkipped,
            self::OrderRaised,
            self::OrderPlanned,
            self::OrderOpened,
            self::OrderSentToReview,
            self::OrderSigned,
            self::OrderMovedOn,
            self::OrderWaits,
            self::OrderSentBack,
            self::StepGiven,
            self::StepSkipped,
            self::OrderOnHold,
            self::OrderGoesOn,
            self::HandOverRefused,
            self::HandOverPartlyRefused,
            self::HandOverTaken
                => true,
            default => false,
        };
    }
}
