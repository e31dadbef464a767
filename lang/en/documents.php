<?php

declare(strict_types=1);

// The words of documents that leave the house. A further language is a file of these beside it, named in the settings.

return [
    'phase' => [
        'in_work' => 'DRAFT',
        'in_review' => 'DRAFT, IN REVIEW',
        'coming' => 'COMING',
        'in_force' => 'IN FORCE',
        'superseded' => 'SUPERSEDED',
        'obsolete' => 'OBSOLETE',
    ],
    'revision' => 'Revision',
    'valid' => 'valid :from to :to',
    'valid_from' => 'valid from :from',
    'not_released' => 'Not released. Not to be built or bought from.',
    'until' => 'then :next, from :from',
    'replaced' => 'replaced by :next from :from',
    'replaced_by' => 'replaced by :next',
    'order' => 'Order',
    'signed' => 'Signed by',
    'as_of' => 'Status of :day',
    'scan' => 'Scan for the status of today',
    'history' => 'History of revisions',
    'marks' => 'Marks of change on the sheet',
    'from' => 'From',
    'author' => 'Author',
    'done' => 'What was done',
    'page' => 'Page',
    'original' => 'The sheet as it was released is unchanged below this stamp.',
    'unknown' => 'There is no such sheet',
    'address_withdrawn' => 'The address of this sheet was withdrawn',
    'do_not_go_by' => 'Do not build or buy by the print. Ask whoever gave it to you for the sheet of today.',
    'package' => [
        'title' => 'Release package',
        'changes' => 'Cumulative change list',
        'before_after' => 'Before and after',
        'position' => 'Position',
        'field' => 'Field',
        'old' => 'Old',
        'new' => 'New',
        'change' => 'Change',
        'item' => 'Item',
        'structure' => 'Structure',
        'plant' => 'Plant',
        'nothing' => 'Nothing differs.',
        'action' => ['add' => 'added', 'remove' => 'removed', 'replace' => 'replaced', 'change' => 'changed', 'keep' => 'unchanged'],
        'kind' => ['engineering' => 'Engineering', 'manufacturing' => 'Manufacturing', 'item_data' => 'Item data'],
    ],
];
