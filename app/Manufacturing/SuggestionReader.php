<?php

declare(strict_types=1);

namespace App\Manufacturing;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Manufacturing\Accountability;
use Orthotaxis\Core\Manufacturing\Accounted;
use Orthotaxis\Core\Manufacturing\Suggestion;
use Orthotaxis\Core\Manufacturing\Suggestions;
use Orthotaxis\Core\Refusal;

/** How what is open at a plant would be taken over. */
final readonly class SuggestionReader
{
    public function __construct(private Siblings $siblings) {}

    /** @return list<string> numbers of items by whose example it could go, the most alike first */
    public function siblings(BuiltAt $built, Accountability $of, Day $day): array
    {
        return $this->siblings->numbers($built->item, $built->plant, self::components($of), $day);
    }

    /**
     * @param  ?string  $sibling  the number of the item by whose example it goes; null: by none
     * @return array<string, Suggestion> by the key of the engineering line
     *
     * @throws Refusal when the plant does not build the sibling
     */
    public function read(BuiltAt $built, Accountability $of, Day $day, ?string $sibling): array
    {
        return Suggestions::of(
            $of,
            $built->content,
            $sibling === null ? null : $this->siblings->read($sibling, $built->plant, $day),
            CategoryWays::of(self::components($of)),
        );
    }

    /** @return list<string> numbers of what is open */
    private static function components(Accountability $of): array
    {
        return array_values(array_unique(array_map(static fn(Accounted $line): string => $line->line->component, $of->open())));
    }
}
