<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Outgoing;

use Orthotaxis\Core\Refusal;

/**
 * Which events somebody outside is told of: single ones ("order.released") or all of one kind ("order.*"). Whoever chooses a kind is
 * told of what comes to it later too.
 */
final readonly class EventChoice
{
    /** @param  list<string>  $chosen */
    private function __construct(public array $chosen) {}

    /**
     * @param  list<string>  $chosen
     * @param  array<string, list<string>>  $known  names of events without their kind, by kind
     *
     * @throws Refusal at "events"
     */
    public static function of(array $chosen, array $known): self
    {
        if ($chosen === []) {
            throw Refusal::at('events', 'Choose at least one event.');
        }
        foreach ($chosen as $one) {
            [$kind, $name] = [...explode('.', $one, 2), ''];
            if (!isset($known[$kind]) || ($name !== '*' && !in_array($name, $known[$kind], true))) {
                throw Refusal::at('events', "There is no event {$one}.");
            }
        }
        $kept = array_values(
            array_filter(
                array_unique($chosen),
                // One of a kind that is chosen whole is said already.
                static fn(string $one): bool => str_ends_with($one, '.*') || !in_array(explode('.', $one)[0] . '.*', $chosen, true),
            ),
        );
        sort($kept);

        return new self($kept);
    }

    /** @param  list<string>  $chosen  as it was kept */
    public static function kept(array $chosen): self
    {
        return new self($chosen);
    }

    /** @param  string  $event  such as order.released */
    public function has(string $event): bool
    {
        return in_array($event, $this->chosen, true) || in_array(explode('.', $event)[0] . '.*', $this->chosen, true);
    }
}
