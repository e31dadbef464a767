<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Tells a browser that came encrypted to come so from now on (RFC 6797). What came in the clear is told nothing: it could be anybody. */
final readonly class StayEncrypted
{
    public function handle(Request $request, \Closure $next): Response
    {
        $answer = $next($request);
        $seconds = config()->integer('security.hsts_seconds');
        if ($seconds > 0 && $request->secure()) {
            $answer->headers->set('Strict-Transport-Security', "max-age={$seconds}; includeSubDomains");
        }

        return $answer;
    }
}
