<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Refusal;

/** What edits of an operation have in common: which one, and the fields that they set. */
trait OfOperation
{
    /** @param  array<string, string>  $fields  by the values of OperationField */
    public function __construct(private readonly string $key, private readonly array $fields = []) {}

    public function name(): string
    {
        return self::NAME;
    }

    public function version(): int
    {
        return 1;
    }

    public function part(): string
    {
        return $this->key;
    }

    public function fields(): array
    {
        return $this->fields;
    }

    public function of(string $key): OperationEdit
    {
        return new self($key, $this->fields);
    }

    /** All or nothing; where fields change each for itself, the edit says so. */
    public function without(array $fields): ?OperationEdit
    {
        return null;
    }

    public function touches(): array
    {
        return array_keys($this->fields);
    }

    public function conflictsWith(Edit $other): array
    {
        return $this->key === $other->part() ? array_values(array_intersect($this->touches(), $other->touches())) : [];
    }

    private static function present(?Operation $operation): Operation
    {
        return $operation ?? throw Refusal::at('operation', 'This operation is no longer in the routing: it was taken out.');
    }
}
