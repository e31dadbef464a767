<?php

declare(strict_types=1);

namespace App\Sheets;

use Orthotaxis\Core\Calendar\Day;
use Orthotaxis\Core\Revision\Phase;

/** The words of a document in one of the languages that are set up. */
final readonly class SheetWords
{
    public function __construct(public string $language) {}

    /** @return list<string> codes of the languages that documents are written in */
    public static function languages(): array
    {
        return array_values(array_filter(config()->array('orthotaxis.languages'), is_string(...)));
    }

    /** @param  array<string, string>  $with */
    public function say(string $name, array $with = []): string
    {
        $text = trans("documents.{$name}", $with, $this->language);

        return is_string($text) ? $text : $name;
    }

    public function phase(Phase $phase): string
    {
        return $this->say("phase.{$phase->value}");
    }

    /** As people of the language write it: "8 Jan 2027", "08.01.2027"; empty: no day. */
    public function day(?Day $day): string
    {
        return match (true) {
            $day === null => '',
            $this->language === 'de' => implode('.', array_reverse(explode('-', (string) $day))),
            default => $day->spelled(),
        };
    }
}
