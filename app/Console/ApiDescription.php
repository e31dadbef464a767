<?php

declare(strict_types=1);

namespace App\Console;

use OpenApi\Annotations\OpenApi;
use OpenApi\Generator;
use Psr\Log\NullLogger;

/** The description of the API (OpenAPI 3), read off the attributes in the code. */
final readonly class ApiDescription
{
    public function json(): string
    {
        $openApi = (new Generator(new NullLogger()))->setVersion(OpenApi::VERSION_3_1_0)->generate([app_path()]);
        if (!($openApi instanceof OpenApi)) {
            throw new \LogicException('No description could be read off the code.');
        }
        foreach (is_array($openApi->components->schemas) ? $openApi->components->schemas : [] as $schema) {
            // What we answer always has all its fields; what we take says itself what it needs.
            if (is_array($schema->properties) && $schema->required === Generator::UNDEFINED) {
                $schema->required = array_map(static fn($property): string => $property->property, $schema->properties);
            }
        }

        return $openApi->toJson(JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE) . "\n";
    }
}
