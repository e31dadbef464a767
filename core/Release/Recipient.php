<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Release;

/** Somebody to whom a change notice goes. */
final readonly class Recipient
{
    /**
     * @param  bool  $acknowledge  whether they say that they have read it
     * @param  ?int  $days  working days in which they say so
     * @param  non-empty-list<string>  $lists  by which it goes to them
     */
    private function __construct(public bool $acknowledge, public ?int $days, public array $lists) {}

    /**
     * Everybody once: who has to acknowledge by one list has to, whatever others say, within the fewest days that any of those asks for.
     *
     * Example: "Tarn planners" asks Nadia to acknowledge within 5 days, "Pumps" within 2, "Everybody" only tells her: she acknowledges
     * within 2, by all three lists.
     *
     * @param  list<DistributionRule>  $rules
     * @return array<int, self> by id of the person
     */
    public static function of(array $rules, Touched $touched): array
    {
        $recipients = [];
        foreach ($rules as $rule) {
            if (!$rule->fits($touched)) {
                continue;
            }
            foreach (array_unique($rule->people) as $person) {
                $recipients[$person] = self::joined($recipients[$person] ?? null, $rule);
            }
        }
        ksort($recipients);

        return $recipients;
    }

    private static function joined(?self $known, DistributionRule $rule): self
    {
        $asked = array_filter([$known?->days, $rule->acknowledge ? $rule->days : null], static fn(?int $days): bool => $days !== null);

        return new self($rule->acknowledge || $known?->acknowledge === true, $asked === [] ? null : min($asked), [
            ...$known->lists ?? [],
            $rule->name,
        ]);
    }
}
