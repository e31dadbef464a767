<?php

declare(strict_types=1);

namespace App\Requests\Events;

use App\Ledger\Deed;
use Orthotaxis\Core\Change\RequestState;

/** A request is approved, rejected or sent back. */
final readonly class RequestDecided extends Deed
{
    public function __construct(string $by, string $of, public RequestState $decision, public string $reason)
    {
        parent::__construct($by, $of);
    }

    public function name(): string
    {
        return "request.{$this->decision->value}";
    }

    public function details(): array
    {
        return ['reason' => $this->reason];
    }
}
