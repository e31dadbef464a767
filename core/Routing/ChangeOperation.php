<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Refusal;

/** Fields of an operation change. With its number, the lines that are consumed at it follow. */
final readonly class ChangeOperation implements OperationEdit
{
    use OfOperation;

    public const NAME = 'change_operation';

    public function apply(?Operation $operation): Operation
    {
        $operation = self::present($operation);
        $after = $operation->with($this->fields);

        return $after->differsFrom($operation) === []
            ? throw Refusal::at('operation', 'This changes nothing: the operation reads so already.')
            : $after;
    }

    public function without(array $fields): ?self
    {
        $left = array_diff_key($this->fields, array_flip($fields));

        return $left === [] ? null : new self($this->key, $left);
    }

    public function inWords(): string
    {
        $said = [];
        foreach ($this->fields as $field => $text) {
            $said[] = OperationField::from($field)->inWords() . ($text === '' ? ' emptied' : " {$text}");
        }

        return ucfirst(implode(', ', $said)) . ' of an operation';
    }
}
