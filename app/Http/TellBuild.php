<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Says with every answer of which build the interface is, so that a page that is older can say so. */
final class TellBuild
{
    public function handle(Request $request, \Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        $response->headers->set('X-Orthotaxis-Build', self::build());

        return $response;
    }

    /** A name for the build that is served now; empty when there is none. */
    public static function build(): string
    {
        $manifest = public_path('build/manifest.json');

        return is_file($manifest) ? substr((string) hash_file('xxh128', $manifest), 0, 12) : '';
    }
}
