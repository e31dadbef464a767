<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Routing;

use Orthotaxis\Core\Content\Edit;
use Orthotaxis\Core\Refusal;

/** An edit of one operation of a routing, by the key of the operation. */
interface OperationEdit extends Edit
{
    /** The same of the operation as it is called elsewhere. */
    public function of(string $key): self;

    /**
     * @param  ?Operation  $operation  as it is; null when it is not there
     * @return ?Operation as it reads afterwards; null when it is gone
     *
     * @throws Refusal when the edit does not fit
     */
    public function apply(?Operation $operation): ?Operation;
}
