<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Dossier\RequestPaths\Events\RequestPathChosen;
use App\Ledger\Ledger;
use App\Paths\ChosenByRule;
use App\Paths\Judges;
use App\Paths\Models\ApprovalPath;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Refusal;

/** Says on which path a request is judged, or leaves it to the rules, until somebody has signed. */
final readonly class ChooseRequestPath
{
    public function __construct(private RequestFacts $facts, private Ledger $ledger) {}

    /** @param  ?string  $code  of a path for requests, or ApprovalPath::BY_RULE; null: one person decides */
    public function __invoke(Person $by, string $number, ?string $code, int $version): void
    {
        $this->ledger->together(function () use ($by, $number, $code, $version): void {
            $request = ChangeRequest::hold($number);
            $request->mustBeAt($version);
            if (!$request->state->isUndecided()) {
                throw Refusal::at('path', 'This request is decided already.');
            }
            if ($request->signatures->where('meaning', 'signed')->where('void', false)->isNotEmpty()) {
                throw Refusal::at('path', 'Somebody has signed on its path: it goes to its end, or is sent back first.');
            }
            $facts = $this->facts->of($request);
            $byRule = $code === ApprovalPath::BY_RULE;
            $path = match (true) {
                $byRule => ChosenByRule::of(Judges::Requests, static fn(): Facts => new Facts($facts)),
                $code === null => null,
                default => ApprovalPath::offered(Judges::Requests)->where('code', $code)->first() ??
                    throw Refusal::at('path', 'There is no such path for requests.'),
            };
            $request->update(['path_id' => $path?->id, 'path_by_rule' => $byRule, 'facts' => $facts, 'version' => $version + 1]);
            event(new RequestPathChosen($by->login, $number, $path?->code, $byRule));
        });
    }
}
