<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Rights;

/**
 * Pairs of duties that one person may not have on one change, whichever comes first. That nobody both raises or edits an order and signs
 * it, or edits it and lets a check of it go, is no setting: it is so always (ISO 10007, 5.4; SigningRule).
 *
 * With *decide* and *sign* apart, who decided on the request does not sign the order that came of it.
 */
final readonly class Separation
{
    /** @param  list<array{Duty, Duty}>  $pairs  besides those that are apart always */
    public function __construct(private array $pairs) {}

    /** @return list<array{Duty, Duty}> */
    public static function always(): array
    {
        return [[Duty::Originate, Duty::Sign], [Duty::Edit, Duty::Sign], [Duty::Edit, Duty::Waive]];
    }

    /**
     * Which of what a person has done of a change keeps them from another duty.
     *
     * @param  list<Duty>  $done
     */
    public function bar(Duty $wanted, array $done): ?Duty
    {
        foreach ($this->kept($wanted) as $has) {
            if (in_array($has, $done, true)) {
                return $has;
            }
        }

        return null;
    }

    /** @return list<Duty> what is kept apart from a duty by a setting */
    public function kept(Duty $wanted): array
    {
        $kept = [];
        foreach ($this->pairs as [$one, $other]) {
            if ($one === $wanted || $other === $wanted) {
                $kept[] = $one === $wanted ? $other : $one;
            }
        }

        return $kept;
    }
}
