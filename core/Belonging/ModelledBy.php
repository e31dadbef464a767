<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Belonging;

/** That an item has a design model. */
final readonly class ModelledBy
{
    /**
     * @param  string  $revision  of the item that its newest model is released with
     * @param  bool  $comes  whether the order brings another one
     */
    public function __construct(public string $item, public string $revision, public bool $comes) {}
}
