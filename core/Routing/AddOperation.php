<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Refusal;

/** A new operation. */
final readonly class AddOperation implements OperationEdit
{
    use OfOperation;

    public const NAME = 'add_operation';

    public function apply(?Operation $operation): Operation
    {
        return $operation === null
            ? (new OperationReader())->read($this->key, $this->fields)
            : throw Refusal::at('operation', 'This operation is in the routing already.');
    }

    public function inWords(): string
    {
        return 'New operation ' . trim(($this->fields['number'] ?? '') . ' ' . ($this->fields['title'] ?? ''));
    }
}
