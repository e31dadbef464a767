<?php

declare(strict_types=1);

namespace App\SignIn\OpenId;

/** Somebody came back from a provider and is not let in. */
final class NotSignedIn extends \RuntimeException
{
    public const REFUSED = 'refused';

    public const UNKNOWN = 'unknown';

    public const FAILED = 'failed';

    /** @param  string  $why  one of the constants: what the page says */
    public function __construct(public readonly string $why, string $message, ?\Throwable $previous = null)
    {
        parent::__construct($message, 0, $previous);
    }
}
