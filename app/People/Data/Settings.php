<?php

declare(strict_types=1);

namespace App\People\Data;

use App\Http\Api\ListOf;
use OpenApi\Attributes as OA;

/** How this installation writes days, amounts and numbers. */
#[OA\Schema]
final readonly class Settings
{
    /** @param  list<string>  $languages  in which documents are written */
    public function __construct(
        #[OA\Property(description: 'BCP 47, such as en-GB')] public string $locale,
        #[OA\Property(description: 'ISO 4217')] public string $currency,
        #[OA\Property(description: 'the IANA zone whose day today is')] public string $time_zone,
        #[ListOf('string')] public array $languages,
    ) {}

    public static function ofThisInstallation(): self
    {
        return new self(
            config()->string('orthotaxis.locale'),
            config()->string('orthotaxis.currency'),
            config()->string('app.timezone'),
            array_values(array_filter(config()->array('orthotaxis.languages'), is_string(...))),
        );
    }
}
