<?php

declare(strict_types=1);

namespace App\SignIn\Http;

use App\People\Models\Person;
use App\People\Rights;
use App\SignIn\Models\SecondFactor;
use Illuminate\Http\Request;
use Orthotaxis\Core\Refusal;
use Symfony\Component\HttpFoundation\Response;

/** Whose role asks for a second factor does nothing before they have one, but set it up. */
final readonly class SecondFactorFirst
{
    /** In a session: whoever signed in by a provider was asked there. */
    public const ASKED_ELSEWHERE = 'second_factor_asked_elsewhere';

    public function __construct(private Rights $rights) {}

    public function handle(Request $request, \Closure $next): Response
    {
        $person = $request->user();
        if ($person instanceof Person && !$request->is('api/session', 'api/session/*') && $this->lacks($person, $request)) {
            throw Refusal::at('second_factor', 'Set up your second factor first.');
        }

        return $next($request);
    }

    public function lacks(Person $person, Request $request): bool
    {
        return $this->rights->needSecondFactor($person->roles) &&
            !($request->hasSession() && $request->session()->has(self::ASKED_ELSEWHERE)) &&
            SecondFactor::ofPerson($person) === null;
    }
}
