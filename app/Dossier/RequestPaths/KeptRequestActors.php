<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Paths\PathProgress;
use App\Requests\Models\ChangeRequest;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Change\RequestState;

/** Writes down who can judge a request on its path now, so that lists of many requests need not go through their paths. */
final readonly class KeptRequestActors
{
    public function __construct(private RequestContent $content) {}

    public function keep(ChangeRequest $request): void
    {
        DB::table('request_actors')->where('request_id', $request->id)->delete();
        if ($request->state === RequestState::Assessing && $request->path_id !== null) {
            $acting = PathProgress::of(new RequestOnPath($request, $this->content->digest($request)))->acting();
            DB::table('request_actors')->insert(
                array_map(static fn(int $person): array => ['request_id' => $request->id, 'person_id' => $person], $acting),
            );
        }
    }

    /** Of all that are being judged: people, groups or days away have changed. @return int how many */
    public function keepAll(): int
    {
        $requests = ChangeRequest::query()
            ->where('state', RequestState::Assessing->value)
            ->whereNotNull('path_id')
            ->orderBy('id')
            ->pluck('number');
        foreach ($requests as $number) {
            DB::transaction(fn() => $this->keep(ChangeRequest::hold((string) $number)));
        }

        return $requests->count();
    }
}
