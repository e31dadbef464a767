<?php

declare(strict_types=1);

namespace Tests\Torture;

/** The operations of the API, by its own description. */
final readonly class Api
{
    /** @return list<array{string, string, list<string>, array<string, mixed>}> method, path, names in the query, fields of the body */
    public static function operations(): array
    {
        $description = json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/docs/openapi.json'), true, 512, JSON_THROW_ON_ERROR);
        $fields = function (array $schema) use (&$fields, $description): array {
            if (isset($schema['$ref'])) {
                return $fields($description['components']['schemas'][basename($schema['$ref'])]);
            }

            return array_merge($schema['properties'] ?? [], ...array_map($fields, $schema['allOf'] ?? []));
        };
        $operations = [];
        foreach ($description['paths'] as $path => $methods) {
            foreach ($methods as $method => $operation) {
                if (!is_array($operation) || !in_array($method, ['get', 'post', 'put', 'patch', 'delete'], true)) {
                    continue;
                }
                $query = array_column(
                    array_filter($operation['parameters'] ?? [], static fn(array $one): bool => ($one['in'] ?? '') === 'query'),
                    'name',
                );
                $body = $operation['requestBody']['content']['application/json']['schema'] ?? null;
                $operations[] = [strtoupper($method), $path, $query, $body === null ? [] : $fields($body)];
            }
        }

        return $operations;
    }
}
