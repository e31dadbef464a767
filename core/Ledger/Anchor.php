<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Ledger;

use Orthotaxis\Core\Refusal;

/**
 * What a ledger had come to at some time, noted outside of it: the number and hash of its last record, sealed with a key that
 * the ledger's own keeper need not have. Each note carries the seal of the one before, so that none is taken out unseen.
 */
final readonly class Anchor implements \Stringable
{
    private function __construct(public int $number, public string $at, public string $hash, public string $seal) {}

    public static function after(?self $last, int $number, string $at, string $hash, string $key): self
    {
        return new self($number, $at, $hash, self::seal($last, $number, $at, $hash, $key));
    }

    /**
     * @param  list<string>  $lines
     * @return list<self>
     *
     * @throws Refusal naming the first line that is not as it was written
     */
    public static function readAll(array $lines, string $key): array
    {
        $anchors = [];
        foreach ($lines as $at => $line) {
            $parts = explode(' ', $line);
            $last = end($anchors) ?: null;
            if (count($parts) !== 4 || !hash_equals(self::seal($last, (int) $parts[0], $parts[1], $parts[2], $key), $parts[3])) {
                throw Refusal::at('anchors', 'Line ' . ($at + 1) . ' of the anchors is not as it was written.');
            }
            $anchors[] = new self((int) $parts[0], $parts[1], $parts[2], $parts[3]);
        }

        return $anchors;
    }

    public function __toString(): string
    {
        return "{$this->number} {$this->at} {$this->hash} {$this->seal}";
    }

    private static function seal(?self $last, int $number, string $at, string $hash, string $key): string
    {
        return hash_hmac('sha256', "{$number} {$at} {$hash} " . ($last->seal ?? ''), $key);
    }
}
