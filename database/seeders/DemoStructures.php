<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Structures\Models\Item;
use Illuminate\Support\Str;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;

/** The engineering structures of demo/structures.txt, and what they looked like before each of the closed changes. */
final class DemoStructures
{
    /** How many closed changes each parent has seen; the products of daily work have seen more. */
    private const CHANGED = [
        '100-0012' => 6,
        '100-0024' => 6,
        '100-0034' => 7,
        '200-0001' => 5,
        '200-0010' => 4,
        '200-0020' => 3,
        '200-0030' => 2,
        '200-0056' => 2,
        '210-0001' => 3,
        '210-0100' => 3,
        '210-0101' => 3,
        '230-0001' => 4,
        '230-0002' => 4,
        '230-0012' => 2,
        '240-0001' => 2,
        '300-0001' => 3,
        '300-0010' => 5,
        '300-0020' => 4,
        '300-0030' => 2,
        '400-0001' => 3,
        '450-0001' => 4,
        '500-0001' => 2,
        '110-0001' => 1,
        '110-0002' => 1,
    ];

    /** @var ?array<string, list<Structure>> parent => its structure before the first closed change, after it, after the second … */
    private static ?array $steps = null;

    /** @return array<string, Structure> */
    public static function first(): array
    {
        self::$steps = null;

        return array_map(static fn(array $steps): Structure => $steps[0], self::steps());
    }

    /** @return array<string, Structure> after all closed changes */
    public static function now(): array
    {
        return array_map(static fn(array $steps): Structure => $steps[count($steps) - 1], self::steps());
    }

    /** @return array<string, list<Structure>> */
    public static function steps(): array
    {
        if (self::$steps !== null) {
            return self::$steps;
        }
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(12));
        $steps = [];
        foreach (self::written() as $parent => $now) {
            $series = [$now];
            for ($i = 0; $i < (self::CHANGED[$parent] ?? 0); $i++) {
                array_unshift($series, self::earlier($series[0], $i, $random));
            }
            $steps[$parent] = $series;
        }

        return self::$steps = $steps;
    }

    /** Something that a closed change may have changed, undone. */
    private static function earlier(Structure $structure, int $kind, \Random\Randomizer $random): Structure
    {
        $lines = array_values($structure->lines);
        $line = $lines[$random->getInt(0, count($lines) - 1)];

        return match ($kind % 4) {
            0 => $structure->without($line->key),
            1 => $structure->with($line->with(['notes' => trim($line->notes . ' (trial)')])),
            2 => $structure->with($line->with(['find' => (string) ($line->find + 5)])),
            default => $line->designators === ''
                ? $structure->with($line->with(['quantity' => (string) $line->quantity->plus(Quantity::one())]))
                : $structure->with($line->with(['notes' => 'check polarity'])),
        };
    }

    /** @return array<string, Structure> as the file says */
    private static function written(): array
    {
        $units = Item::query()->pluck('unit', 'number');
        $structures = [];
        $parent = '';
        foreach (file(__DIR__ . '/demo/structures.txt', FILE_IGNORE_NEW_LINES | FILE_SKIP_EMPTY_LINES) ?: [] as $text) {
            if ($text[0] === '#') {
                continue;
            }
            if ($text[0] !== ' ') {
                $parent = $text;

                continue;
            }
            if (preg_match('/^  (\*?)(\S+) x (\S+)(?: ([a-z0-9]+))?(?: @(\w+))?(?: \[([^]]+)\])?(?: ; (.+))?$/', $text, $m) !== 1) {
                throw new \LogicException("demo/structures.txt: cannot read \"{$text}\".");
            }
            $structures[$parent][] = new Line(
                key: (string) Str::uuid7(),
                find: (count($structures[$parent] ?? []) + 1) * 10,
                component: $m[2],
                quantity: Quantity::parse($m[3]),
                unit: ($m[4] ?? '') === '' ? $units[$m[2]] : Unit::from($m[4]),
                designators: str_replace(' ', ', ', $m[6] ?? ''),
                notes: $m[7] ?? '',
                notModelled: $m[1] === '*',
                revision: ($m[5] ?? '') === '' ? null : $m[5],
            );
        }

        return array_map(static fn(array $lines): Structure => new Structure($lines), $structures);
    }
}
