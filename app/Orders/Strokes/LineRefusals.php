<?php

declare(strict_types=1);

namespace App\Orders\Strokes;

use App\Orders\EditGuard;
use App\Structures\StructureReader;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Edit\Draft;
use Orthotaxis\Core\Edit\LineEdit;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** What cannot be so of edits of engineering lines, of many items at once. */
final readonly class LineRefusals
{
    public function __construct(private StructureReader $structures, private EditGuard $guard) {}

    /**
     * @param  list<SubjectEdits>  $all
     * @param  ?\Closure(LineEdit, ?Line): void  $first  what is asked of each edit before, with the line as it is then; refuses by throwing
     * @return array<int, array<int, Refusal>> by place of the subject, and of the edit
     */
    public function of(array $all, ?\Closure $first = null): array
    {
        $bases = array_filter(
            array_map(static fn(SubjectEdits $one): ?int => $one->now === null ? $one->work->base_id : null, $all),
            is_int(...),
        );
        $structures = $this->structures->ofContents(array_values(array_unique($bases)));
        $subjects = $refused = [];
        foreach ($all as $of => $one) {
            $draft = new Draft($one->now ?? Apply::all($structures[$one->work->base_id] ?? new Structure(), $one->work->lineEdits()));
            $changes = [];
            foreach ($one->edits as $at => $edit) {
                if (!($edit instanceof LineEdit)) {
                    throw new \LogicException('Engineering has lines.');
                }
                $was = $draft->line($edit->part());
                try {
                    $first === null || $first($edit, $was);
                    $is = $draft->make($edit);
                    if ($is !== null) {
                        $changes[$at] = [$is, $was];
                    }
                } catch (Refusal $refusal) {
                    $refused[$of][$at] = $refusal;
                }
            }
            $subjects[$of] = ['work' => $one->work, 'changes' => $changes];
        }
        foreach ($this->guard->faultsOf($subjects) as $of => $faults) {
            $refused[$of] = ($refused[$of] ?? []) + $faults;
            ksort($refused[$of]);
        }

        return $refused;
    }
}
