<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Rights;

/**
 * Pairs of duties that one person may not have on one change, whichever comes first. That nobody both edits, or raises, an order and
 * signs it is not a setting: it holds always (ISO 10007, 5.4; SigningRule).
 *
 * With *decide* and *sign* apart, who decided on the request does not sign the order that came of it.
 */
final readonly class Separation
{
    /** @var list<array{Duty, Duty}> */
    public array $pairs;

    /** @param  list<array{Duty, Duty}>  $pairs */
    public function __construct(array $pairs)
    {
        $this->pairs = [...self::always(), ...$pairs];
    }

    /** @return list<array{Duty, Duty}> */
    public static function always(): array
    {
        return [[Duty::Originate, Duty::Sign], [Duty::Edit, Duty::Sign]];
    }

    /**
     * Which of what a person has done of a change keeps them from another duty.
     *
     * @param  list<Duty>  $done
     */
    public function bar(Duty $wanted, array $done): ?Duty
    {
        foreach ($this->pairs as [$one, $other]) {
            foreach ([[$one, $other], [$other, $one]] as [$has, $may]) {
                if ($may === $wanted && in_array($has, $done, true)) {
                    return $has;
                }
            }
        }

        return null;
    }
}
