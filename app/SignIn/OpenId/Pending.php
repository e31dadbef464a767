<?php

declare(strict_types=1);

namespace App\SignIn\OpenId;

/** A sign-in that has gone to a provider and is not back yet. */
final readonly class Pending
{
    /**
     * @param  string  $address  where the browser goes
     * @param  string  $verifier  RFC 7636
     * @param  string  $to  the page that was wanted
     */
    public function __construct(
        public string $address,
        public string $state,
        public string $verifier,
        public string $nonce,
        public string $to,
    ) {}

    /** As a cookie keeps it, which the framework encrypts. */
    public function kept(): string
    {
        return (string) json_encode([$this->state, $this->verifier, $this->nonce, $this->to]);
    }

    /** @return ?self null when nothing was kept, or something else */
    public static function read(mixed $kept): ?self
    {
        $said = is_string($kept) ? json_decode($kept, true) : null;
        $texts = is_array($said) ? array_values(array_filter($said, is_string(...))) : [];

        return count($texts) === 4 ? new self('', $texts[0], $texts[1], $texts[2], $texts[3]) : null;
    }
}
