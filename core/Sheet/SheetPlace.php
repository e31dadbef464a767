<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Sheet;

/** A place at which two sheets differ. */
final readonly class SheetPlace
{
    /**
     * @param  string  $zone  in which its middle lies, as "B3"
     * @param  list<string>  $went  texts that stood there
     * @param  list<string>  $came  texts that stand there now
     */
    public function __construct(public PlaceKind $kind, public string $zone, public Box $box, public array $went, public array $came) {}
}
