<?php

declare(strict_types=1);

namespace App\Structures\Http;

use App\Structures\Index\DamagedIndex;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response as Answer;

/** A question that met a damaged index is answered once more, from the database: nobody but the log hears of it. */
final readonly class WithoutDamagedIndex
{
    public function handle(Request $request, \Closure $next): Answer
    {
        $answer = $next($request);
        $broken = property_exists($answer, 'exception') && $answer->exception instanceof DamagedIndex;

        return $broken && $request->isMethodSafe() ? $next($request) : $answer;
    }
}
