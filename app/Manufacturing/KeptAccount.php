<?php

declare(strict_types=1);

namespace App\Manufacturing;

use App\Structures\Index\IndexState;
use Illuminate\Support\Facades\Cache;
use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\Accounted;
use Orthotaxis\Core\Manufacturing\Share;

/**
 * How a plant accounts for engineering as it is released: the same until some structure changes, so that it is kept, in pages. Of what is
 * not worth it nothing is kept.
 */
final readonly class KeptAccount
{
    /** So many lines are told at once. */
    public const AT_ONCE = 150;

    private const SECONDS = 3_600;

    /** Counted up when what is kept gets another shape: what an older program kept is not read. */
    private const SHAPE = 1;

    /**
     * @param  list<string>  $plants  that build it
     * @param  ?string  $plant  null: none does
     * @param  list<Share>  $additions
     */
    public function __construct(
        public array $plants,
        public ?string $plant,
        public ?string $built,
        public ?string $builds,
        public ?string $declared,
        public int $total,
        public int $open,
        public array $additions,
    ) {}

    /** What stands for the state of all that is released: with the next release it is another. */
    public static function key(int $item, ?string $plant, Day $day): string
    {
        return hash('sha256', implode(' ', [self::SHAPE, IndexState::now()->name(), $item, $plant ?? '*', $day]));
    }

    public static function find(string $key): ?self
    {
        $kept = self::read("account-{$key}");

        return $kept instanceof self ? $kept : null;
    }

    /** @return ?list<Accounted> lines from one on; null: they are not kept any more */
    public static function lines(string $key, bool $onlyOpen, int $from): ?array
    {
        $page = intdiv($from, self::AT_ONCE);
        $lines = self::read("account-{$key}-" . ($onlyOpen ? 'open-' : '') . $page);
        /** @var ?list<Accounted> $lines */
        $lines = is_array($lines) ? $lines : null;

        return $lines === null ? null : array_slice($lines, $from - $page * self::AT_ONCE);
    }

    /**
     * @param  list<Accounted>  $lines  all of them
     * @param  list<Accounted>  $open
     */
    public function keep(string $key, array $lines, array $open): void
    {
        if (count($lines) <= self::AT_ONCE) {
            return;
        }
        foreach (['' => $lines, 'open-' => $open] as $which => $some) {
            foreach (array_chunk($some, self::AT_ONCE) as $page => $chunk) {
                self::write("account-{$key}-{$which}{$page}", $chunk);
            }
        }
        self::write("account-{$key}", $this);
    }

    private static function read(string $key): mixed
    {
        $kept = Cache::get($key);

        return is_string($kept) ? unserialize((string) gzuncompress((string) base64_decode($kept, true))) : null;
    }

    /** As text: caches that are tables of a database hold no bytes. */
    private static function write(string $key, mixed $value): void
    {
        Cache::put($key, base64_encode((string) gzcompress(serialize($value), 1)), self::SECONDS);
    }
}
