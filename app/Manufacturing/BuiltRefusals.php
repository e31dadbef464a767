<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Orders\EditGuard;
use App\Orders\Strokes\SubjectEdits;
use App\Orders\WorkContents;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Manufacturing\ManufacturingDraft;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Routing\OperationEdit;

/** What cannot be so of edits of what plants build, of many items at once. */
final readonly class BuiltRefusals
{
    public function __construct(private WorkContents $works, private EditGuard $lines, private RoutingGuard $operations) {}

    /**
     * @param  list<SubjectEdits>  $all
     * @return array<int, array<int, Refusal>> by place of the subject, and of the edit
     */
    public function of(array $all): array
    {
        $contents = $this->works->afterAll(array_map(static fn(SubjectEdits $one) => $one->work, $all));
        $refused = $subjects = $operations = [];
        foreach ($all as $of => $one) {
            $draft = new ManufacturingDraft(ManufacturingContents::built($contents[$one->work->id]));
            $lines = [];
            foreach ($one->edits as $at => $edit) {
                $line = $draft->line($edit->part());
                $operation = $draft->operation($edit->part());
                try {
                    $draft->make($edit);
                } catch (Refusal $refusal) {
                    $refused[$of][$at] = $refusal;

                    continue;
                }
                $lineNow = $edit instanceof LineEdit ? $draft->line($edit->part()) : null;
                $operationNow = $edit instanceof OperationEdit ? $draft->operation($edit->part()) : null;
                if ($lineNow !== null) {
                    $lines[$at] = [$lineNow, $line];
                }
                if ($operationNow !== null) {
                    $operations[$of][$at] = [$operationNow, $operation];
                }
            }
            $subjects[$of] = ['work' => $one->work, 'changes' => $lines];
        }
        $found = $this->lines->faultsOf($subjects);
        foreach (array_keys($subjects) as $of) {
            $refused[$of] =
                ($refused[$of] ?? []) + ($found[$of] ?? []) + $this->operations->faults($all[$of]->work->plant, $operations[$of] ?? []);
            ksort($refused[$of]);
        }

        return array_filter($refused, static fn(array $some): bool => $some !== []);
    }
}
