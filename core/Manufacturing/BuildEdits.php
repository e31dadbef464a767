<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Routing\AddOperation;
use Orthotaxis\Core\Routing\ChangeOperation;
use Orthotaxis\Core\Routing\Operation;
use Orthotaxis\Core\Routing\OperationField;
use Orthotaxis\Core\Routing\RemoveOperation;
use Orthotaxis\Core\Routing\SetBatch;

/**
 * What would have to be done so that one way to build an item becomes another, in an order in which each step fits: operations make room
 * for each other's numbers, come and change; lines follow; operations that nothing is consumed at any more go.
 */
final class BuildEdits
{
    /** Operations that make room are numbered from here downwards for a moment. */
    private const HIGHEST = 9_999;

    /** @var list<Edit> */
    private array $edits = [];

    private ManufacturingDraft $draft;

    private function __construct(private readonly ManufacturingContent $from, private readonly ManufacturingContent $to)
    {
        $this->draft = new ManufacturingDraft($from);
    }

    /** @return list<Edit> */
    public static function between(ManufacturingContent $from, ManufacturingContent $to): array
    {
        $one = new self($from, $to);
        $one->operations();
        foreach (Edits::between(Comparison::ofChanges($one->draft->content()->structure, $to->structure)) as $edit) {
            $one->make($edit);
        }
        foreach (array_diff_key($from->routing->operations, $to->routing->operations) as $key => $_) {
            $one->make(new RemoveOperation($key));
        }
        $one->records();
        if (!$from->routing->batch->equals($to->routing->batch)) {
            $one->make(new SetBatch((string) $to->routing->batch));
        }

        return $one->edits;
    }

    private function make(Edit $edit): void
    {
        $this->draft->make($edit);
        $this->edits[] = $edit;
    }

    private function operations(): void
    {
        $wanted = array_map(static fn(Operation $one): int => $one->number, $this->to->routing->operations);
        $had = array_map(static fn(Operation $one): int => $one->number, $this->from->routing->operations);
        $free = self::HIGHEST;
        foreach ($had as $key => $number) {
            $whose = array_search($number, $wanted, true);
            if ($whose !== false && $whose !== $key) {
                while (in_array($free, $wanted, true) || in_array($free, $had, true)) {
                    $free--;
                }
                $this->make(new ChangeOperation($key, [OperationField::Number->value => (string) $free--]));
            }
        }
        foreach ($this->to->routing->operations as $key => $operation) {
            $now = $this->draft->operation($key);
            if ($now === null) {
                $this->make(new AddOperation($key, array_filter($operation->texts(), static fn(string $text): bool => $text !== '')));
            } elseif ($now->differsFrom($operation) !== []) {
                $fields = array_column($now->differsFrom($operation), 'value');
                $this->make(new ChangeOperation($key, array_intersect_key($operation->texts(), array_flip($fields))));
            }
        }
    }

    private function records(): void
    {
        foreach ($this->to->since($this->from)->records as $line => [, $is]) {
            $this->make($is === null ? new TakeOffRecord($line) : PutOnRecord::saying($is));
        }
    }
}
