<?php

declare(strict_types=1);

namespace App\Dossier\Relations;

/** A kind of tie between two records, read from one to the other or back. */
enum Tie: string
{
    case Reported = 'reported';
    case SameReport = 'same_report';
    case Gathered = 'gathered';
    case Affected = 'affected';
    case GatheredInto = 'gathered_into';
    case SplitOff = 'split_off';
    case Ordered = 'ordered';
    case Changed = 'changed';
    case Follows = 'follows';
    case Subordinate = 'subordinate';
    case CarriedOver = 'carried_over';
    case Described = 'described';
    case Used = 'used';
    case Succeeded = 'succeeded';

    /** In words, from the one that the tie comes from. */
    public function out(): string
    {
        return match ($this) {
            self::Reported => 'reports on',
            self::SameReport => 'reports the same as',
            self::Gathered => 'is answered by',
            self::Affected => 'affects',
            self::GatheredInto => 'is gathered into',
            self::SplitOff => 'was split off from',
            self::Ordered => 'became',
            self::Changed => 'names',
            self::Follows => 'leaves plants to',
            self::Subordinate => 'is subordinate to',
            self::CarriedOver => 'was carried over into',
            self::Described => 'is described by',
            self::Used => 'uses',
            self::Succeeded => 'is succeeded by',
        };
    }

    /** In words, from the one to which the tie leads. */
    public function in(): string
    {
        return match ($this) {
            self::Reported => 'is reported on by',
            self::SameReport => 'is reported too by',
            self::Gathered => 'answers',
            self::Affected => 'is affected by',
            self::GatheredInto => 'has gathered',
            self::SplitOff => 'gave rise to',
            self::Ordered => 'came from',
            self::Changed => 'is named by',
            self::Follows => 'follows at plants for',
            self::Subordinate => 'has the subordinate order',
            self::CarriedOver => 'carries over from',
            self::Described => 'describes',
            self::Used => 'is used in',
            self::Succeeded => 'succeeds',
        };
    }

    /** Pairs of ids and kinds: from (a), to (b). */
    public function sql(): string
    {
        return match ($this) {
            self::Reported => "SELECT 'report', report_id, 'item', item_id FROM problem_report_items",
            self::SameReport => "SELECT 'report', id, 'report', same_as_id FROM problem_reports WHERE same_as_id IS NOT NULL",
            self::Gathered => "SELECT 'report', report_id, 'request', request_id FROM problem_report_requests",
            self::Affected => "SELECT 'request', request_id, 'item', item_id FROM change_request_items",
            self::GatheredInto
                => "SELECT 'request', id, 'request', gathered_into_id FROM change_requests WHERE gathered_into_id IS NOT NULL",
            self::SplitOff => "SELECT 'request', id, 'request', split_from_id FROM change_requests WHERE split_from_id IS NOT NULL",
            self::Ordered => "SELECT 'request', request_id, 'order', order_id FROM change_order_requests",
            self::Changed => "SELECT 'order', i.order_id, 'item', i.item_id FROM change_order_items i
                JOIN change_orders o ON o.id = i.order_id AND o.state <> 'proposed'",
            self::Follows => "SELECT DISTINCT 'order', order_id, 'order', under_id FROM follow_ups",
            self::Subordinate => "SELECT 'order', id, 'order', parent_id FROM change_orders WHERE parent_id IS NOT NULL",
            self::CarriedOver => "SELECT DISTINCT 'order', t.from_id, 'order', t.into_id FROM transfers t
                JOIN change_orders f ON f.id = t.from_id AND f.state <> 'proposed' WHERE t.from_id <> t.into_id",
            self::Described => "SELECT 'item', item_id, 'item', document_id FROM item_documents",
            self::Used => "SELECT DISTINCT 'item', c.item_id, 'item', l.component_id FROM structure_lines l
                JOIN contents c ON c.id = l.content_id AND c.kind = 'engineering' AND c.status = 'released'",
            self::Succeeded => "SELECT 'item', item_id, 'item', successor_id FROM successions",
        };
    }
}
