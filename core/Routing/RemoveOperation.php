<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

/** The operation goes. */
final readonly class RemoveOperation implements OperationEdit
{
    use OfOperation;

    public const NAME = 'remove_operation';

    public function apply(?Operation $operation): null
    {
        self::present($operation);

        return null;
    }

    /** All of it: whoever changed anything else of the operation has to choose. */
    public function touches(): array
    {
        return array_column(OperationField::cases(), 'value');
    }

    public function inWords(): string
    {
        return 'Operation taken out';
    }
}
