<?php

declare(strict_types=1);

namespace App\Releases;

use App\Releases\Models\Handover;

/** A hand-over is written, whatever it is of; told in the transaction of the act. */
final readonly class HandoverWritten
{
    public function __construct(public Handover $handover) {}
}
