<?php

declare(strict_types=1);

namespace Tests\Core\Support;

use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\Roster;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Calendar\Validity;
use Orthotaxis\Core\Change\Base;
use Orthotaxis\Core\Change\Disposition;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Change\OrderItem;
use Orthotaxis\Core\Change\OrderState;
use Orthotaxis\Core\Change\Outcome;
use Orthotaxis\Core\Change\Work;
use Orthotaxis\Core\Comparison\Comparison;
use Orthotaxis\Core\Content\Subject;
use Orthotaxis\Core\Edit\Edits;
use Orthotaxis\Core\Engineering\EngineeringContent;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Quantity\Unit;
use Orthotaxis\Core\Revision\Sequence;
use Orthotaxis\Core\Structure\Line;
use Orthotaxis\Core\Structure\Structure;
use Orthotaxis\Core\Task\TaskBeforeReview;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Small things of the trade for tests, and random ones from fixed seeds. */
final class Make
{
    public static function line(
        string $key,
        int $find,
        string $component,
        string $quantity = '1',
        Unit $unit = Unit::Piece,
        string $designators = '',
        string $notes = '',
        ?string $first = null,
        ?string $last = null,
        ?string $revision = null,
    ): Line {
        $days = Validity::fromTo($first === null ? null : Day::parse($first), $last === null ? null : Day::parse($last));

        return new Line(
            key: $key,
            find: $find,
            component: $component,
            quantity: Quantity::parse($quantity),
            unit: $unit,
            designators: $designators,
            notes: $notes,
            validity: $days,
            revision: $revision,
        );
    }

    public static function pumpHead(): Structure
    {
        return new Structure([
            self::line('housing', 10, '200-0011'),
            self::line('tube', 50, '200-0040', '0.5', Unit::Metre, notes: 'wall 1.6 mm'),
            self::line('clamp', 60, '200-0042', '2'),
            self::line('screw', 70, '600-0014', '6'),
        ]);
    }

    /** @param  callable(Randomizer): void  $property */
    public static function many(callable $property, int $times = 150): void
    {
        for ($seed = 1; $seed <= $times; $seed++) {
            $property(new Randomizer(new Mt19937($seed)));
        }
    }

    /** A structure of up to eight lines that shares some line identities, components and find numbers with any other. */
    public static function structure(Randomizer $random): Structure
    {
        $lines = [];
        for ($i = 0; $i < $random->getInt(0, 8); $i++) {
            $lines[] = self::line(
                'k' . $random->getInt(1, 9),
                $random->getInt(1, 6) * 10,
                'P-' . $random->getInt(1, 5),
                (string) $random->getInt(1, 4),
                notes: ['', 'glue', 'twist'][$random->getInt(0, 2)],
                revision: [null, null, 'A', 'B'][$random->getInt(0, 3)],
            );
        }

        return new Structure($lines);
    }

    /**
     * An item that gets a new revision, edited from before to after.
     *
     * @param  list<string>  $missing  what its lines use and is not there
     * @param  list<string>  $files
     */
    public static function orderItem(
        ?Structure $before = null,
        ?Structure $after = null,
        ?string $base = 'B',
        ?string $latest = null,
        string $number = '200-0010',
        ?Disposition $disposition = Disposition::UseUp,
        ?string $from = '2026-01-10',
        array $missing = [],
        array $files = [],
        Sequence $sequence = Sequence::Letters,
    ): OrderItem {
        $before ??= self::pumpHead();
        $edits = Edits::between(Comparison::of($before, $after ?? $before->without('screw')));
        $start = new Base($base, $latest ?? $base, $from === null ? null : Day::parse($from), $sequence);
        $work = Work::on(new Subject(Subject::ENGINEERING, $number), $start, new EngineeringContent($before), $edits);

        return new OrderItem($number, Outcome::Revise, $disposition, $start, [$work->lacking($missing)], $files);
    }

    /**
     * @param  list<OrderItem>  $items
     * @param  list<TaskBeforeReview>  $tasksBeforeReview
     * @param  ?list<string>  $openBeforeRelease
     */
    public static function order(
        OrderState $state = OrderState::Revising,
        ?array $items = null,
        ?string $date = '2027-02-01',
        ?int $signer = 3,
        ?string $signed = null,
        array $tasksBeforeReview = [],
        ?array $openBeforeRelease = null,
    ): Order {
        return new Order(
            number: 'ECO-00001',
            state: $state,
            author: 1,
            editor: 2,
            signer: $signer,
            effectiveOn: $date === null ? null : Day::parse($date),
            items: $items ?? [self::orderItem()],
            editAuthors: [2],
            signedDigest: $signed,
            tasksBeforeReview: $tasksBeforeReview,
            openBeforeRelease: $openBeforeRelease,
        );
    }

    /** Of an order in review that waits for its one signer. */
    public static function progress(int $signer = 3): Progress
    {
        return Progress::of(Path::oneSigner(), new Facts(), new Roster([Path::SIGNER => [$signer]]), [], [], true);
    }
}
