<?php

declare(strict_types=1);

use Orthotaxis\Core\DesignModel\Found;
use Orthotaxis\Core\DesignModel\ModelledAssembly;
use Orthotaxis\Core\Edit\AddLine;
use Orthotaxis\Core\Edit\Apply;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Structure;
use Random\Randomizer;
use Tests\Core\Support\Make;

/** Two clamps, half a metre of tube, six screws on two lines, and grease that nobody draws. */
function drawn(): Structure
{
    return new Structure([
        Make::line('tube', 10, '200-0040', '0.5', Unit::Metre),
        Make::line('clamp', 20, '200-0042', '2'),
        Make::line('screw a', 30, '600-0014', '4'),
        Make::line('screw b', 35, '600-0014', '2'),
        Make::line('grease', 40, '710-0001', '3', Unit::Gram)->with(['not_modelled' => 'yes']),
    ]);
}

const MODELLED = ['200-0040' => 1, '200-0042' => 2, '600-0014' => 6];

/**
 * @param  list<Found>  $found
 * @return list<string>
 */
function foundInWords(array $found): array
{
    return array_map(
        static fn(Found $one): string => ($one->before === null ? 'new ' : '') .
            "{$one->component}: {$one->pieces}, " .
            ($one->edit === null ? "by hand: {$one->why}" : $one->edit->inWords()),
        $found,
    );
}

it('does not miss what no model shows, and tells it all the same where one does', function (): void {
    $now = new Structure([Make::line('tube', 10, '200-0042', '2'), Make::line('paper', 20, '820-0001', '1')]);
    $mark = static fn(array $found): array => array_map(static fn(Found $one): string => "{$one->component} {$one->pieces}", $found);
    expect($mark((new ModelledAssembly(['200-0042' => 2]))->against($now, null)))
        ->toBe(['820-0001 0'])
        ->and($mark((new ModelledAssembly(['200-0042' => 2]))->against($now, null, [], ['820-0001' => true])))
        ->toBe([])
        ->and($mark((new ModelledAssembly(['200-0042' => 2, '820-0001' => 3]))->against($now, null, [], ['820-0001' => true])))
        ->toBe(['820-0001 3']);
});

it('finds nothing where the model says what the structure says', function (): void {
    expect((new ModelledAssembly(MODELLED))->against(drawn(), null))->toBe([]);
});

it('changes pieces, adds what comes on the next ten, removes what is gone, and leaves alone what is not modelled', function (): void {
    $model = new ModelledAssembly(['200-0040' => 1, '200-0042' => 3, '600-0014' => 6, '600-0015' => 2], ['600-0015' => 'S1, S2']);
    $found = $model->against(drawn(), null);
    expect(foundInWords($found))->toBe(['200-0042: 3, Quantity 3', 'new 600-0015: 2, New line 50 600-0015']);
    $edit = $found[1]->edit;
    expect($edit instanceof AddLine ? $edit->fields() : [])->toBe([
        'find' => '50',
        'component' => '600-0015',
        'quantity' => '2',
        'unit' => 'pc',
        'designators' => 'S1, S2',
    ]);
    $without = new ModelledAssembly(['200-0042' => 2, '600-0014' => 6]);
    expect(array_map(static fn(Found $one): string => $one->edit?->part() ?? '', $without->against(drawn(), null)))->toBe(['tube']);
});

it('says what a person has to do: several lines of one part, and what is counted otherwise than in pieces', function (): void {
    $model = new ModelledAssembly(['200-0041' => 1, '600-0014' => 8] + MODELLED);
    $found = $model->against(drawn(), null, ['200-0041' => Unit::Metre]);
    expect(foundInWords((new ModelledAssembly(['600-0014' => 8] + MODELLED))->against(drawn(), null)))
        ->toBe(['600-0014: 8, by hand: It stands on several lines: say on the page which of them changes.'])
        ->and(foundInWords($found))
        ->toContain('new 200-0041: 1, by hand: It is counted in m: say on the page how much goes in.');
});

it('tells only what differs from the last model: what somebody changed since on purpose stays', function (): void {
    $last = new ModelledAssembly(['200-0042' => 3] + MODELLED);
    // Three clamps in both models, two in the structure: that was decided.
    expect((new ModelledAssembly(['200-0042' => 3] + MODELLED))->against(drawn(), $last))->toBe([]);
    expect(foundInWords((new ModelledAssembly(['200-0042' => 4] + MODELLED))->against(drawn(), $last)))->toBe(['200-0042: 4, Quantity 4']);
    expect((new ModelledAssembly(MODELLED))->against(drawn(), $last))->toBe([]);
});

it('finds nothing any more once all of it is done', function (): void {
    $random = new Randomizer(new Random\Engine\Mt19937(7));
    for ($round = 0; $round < 2_000; $round++) {
        $lines = $pieces = [];
        for ($part = 1; $part <= 8; $part++) {
            if ($random->getInt(0, 2) > 0) {
                $lines[] = Make::line("line {$part}", $part * 10, "600-{$part}", (string) $random->getInt(1, 9))->with(
                    $random->getInt(0, 4) === 0 ? ['not_modelled' => 'yes'] : [],
                );
            }
            if ($random->getInt(0, 2) > 0) {
                $pieces["600-{$part}"] = $random->getInt(1, 9);
            }
        }
        $model = new ModelledAssembly($pieces);
        $now = new Structure($lines);
        $edits = [];
        foreach ($model->against($now, null) as $at => $found) {
            $edit = $found->edit;
            $edits[] =
                $edit instanceof AddLine ? new AddLine("new {$at}", $edit->fields()) : $edit ?? throw new LogicException($found->why);
        }
        expect($model->against(Apply::all($now, $edits), null))->toBe([]);
    }
});
