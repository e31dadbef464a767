<?php

declare(strict_types=1);

namespace App\HandoverProfiles\Http;

use App\HandoverProfiles\Actions\SendPastHandover;
use App\HandoverProfiles\Actions\SetHandoverProfile;
use App\HandoverProfiles\Data\HandoverProfileRow;
use App\HandoverProfiles\Data\PastHandovers;
use App\HandoverProfiles\Data\ProfilePreview;
use App\HandoverProfiles\KeptDocument;
use App\HandoverProfiles\Models\HandoverProfile;
use App\Http\Api\InPath;
use App\Http\Api\InQuery;
use App\Http\Api\Ok;
use App\Http\Api\OkList;
use App\Http\Api\Refused;
use App\Http\Api\Takes;
use App\Http\Done;
use App\Outgoing\Data\ChannelState;
use App\People\Models\Person;
use App\Releases\Models\Handover;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Refusal;

/** What other systems get of hand-overs. */
final class HandoverProfileController
{
    #[OA\Get(path: '/api/hand-over-profiles', operationId: 'handoverProfiles', tags: ['systems'])]
    #[OkList(HandoverProfileRow::class), Refused]
    public function index(): JsonResponse
    {
        $profiles = HandoverProfile::query()
            ->with('channel')
            ->get()
            ->sortBy(static fn(HandoverProfile $one): string => mb_strtolower($one->channel->name))
            ->values();
        $states = ChannelState::of(array_values(array_map(static fn(HandoverProfile $one): int => $one->channel_id, $profiles->all())));

        return new JsonResponse(
            $profiles->map(static fn(HandoverProfile $one): HandoverProfileRow => HandoverProfileRow::of($one, $states[$one->channel_id])),
        );
    }

    #[OA\Put(path: '/api/hand-over-profiles/{code}', operationId: 'setHandoverProfile', tags: ['systems'])]
    #[InPath('code'), Takes(HandoverProfileRule::class), Ok(Done::class), Refused]
    public function set(string $code, HandoverProfileRule $request, #[CurrentUser] Person $person, SetHandoverProfile $action): JsonResponse
    {
        $channel = $action->set($person, $code, $request->wanted(), $request->filled('version') ? $request->integer('version') : null);

        return new JsonResponse(new Done($channel->code, $channel->version));
    }

    #[OA\Get(path: '/api/past-hand-overs', operationId: 'pastHandovers', tags: ['systems'])]
    #[InQuery('words'), Ok(PastHandovers::class), Refused]
    public function past(Request $request): JsonResponse
    {
        $request->validate(['words' => 'nullable|string|max:200']);

        return new JsonResponse(PastHandovers::with($request->string('words')->toString()));
    }

    #[OA\Post(path: '/api/hand-over-previews', operationId: 'previewHandoverProfile', tags: ['systems'])]
    #[Takes(ProfilePreviewRule::class), Ok(ProfilePreview::class), Refused]
    public function preview(ProfilePreviewRule $request): JsonResponse
    {
        $handover =
            Handover::query()
                ->where('name', $request->string('hand_over')->toString())
                ->first() ?? throw Refusal::at('hand_over', 'There is no such hand-over.');

        return new JsonResponse(ProfilePreview::of($request->asked(), KeptDocument::of($handover)));
    }

    #[OA\Post(path: '/api/hand-over-profiles/{code}/files', operationId: 'sendPastHandover', tags: ['systems'])]
    #[InPath('code'), Takes(PastHandoverName::class), Ok(Done::class), Refused]
    public function send(string $code, PastHandoverName $request, #[CurrentUser] Person $person, SendPastHandover $action): JsonResponse
    {
        $channel = $action->send($person, $code, $request->string('hand_over')->toString());

        return new JsonResponse(new Done($channel->code, $channel->version));
    }
}
