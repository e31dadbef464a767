<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Dossier\RequestPaths\Data\JudgedRequest;
use App\Paths\Data\PathPicture;
use App\Paths\Data\SignatureRow;
use App\Paths\PathProgress;
use App\Paths\SentBackTo;
use App\People\Ability;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use Illuminate\Database\Eloquent\Collection;

/** Those of some requests that go on a path, as somebody sees them. */
final readonly class JudgedRequests
{
    public function __construct(private RequestContent $content) {}

    /**
     * @param  Collection<int, ChangeRequest>  $requests
     * @return list<JudgedRequest>
     */
    public function of(?Person $reader, Collection $requests): array
    {
        $onPath = $requests->filter(static fn(ChangeRequest $one): bool => $one->path_id !== null);
        $onPath->load(['path', 'signatures.person', 'signatures.for']);

        return array_values($onPath->map(fn(ChangeRequest $one): JudgedRequest => $this->one($reader, $one))->all());
    }

    private function one(?Person $reader, ChangeRequest $request): JudgedRequest
    {
        $digest = $this->content->digest($request);
        $change = new RequestOnPath($request, $digest);
        $progress = PathProgress::of($change);
        $mayAssess = $reader?->mayDo(Ability::AssessRequest, $request->number) === true;

        return new JudgedRequest(
            request: $request->number,
            digest: $digest,
            path: PathPicture::of(
                $change,
                $progress,
                $reader,
                byRule: $request->path_by_rule,
                backTo: $reader === null ? [] : SentBackTo::stages($reader, $change, $progress, $mayAssess),
            ),
            signatures: array_values($request->signatures->map(SignatureRow::of(...))->all()),
            may_send_back: $change->isUnderWay() && $reader !== null && ($mayAssess || $progress->awaits($reader->id)),
        );
    }
}
