<?php

declare(strict_types=1);

namespace App\Orders\Data;

use App\Http\Api\ListOf;
use App\Orders\Duties\Duties;
use App\Orders\Models\ChangeOrder;
use App\Orders\OrderAct;
use App\Orders\OrderPolicy;
use App\Orders\Paths\PathOfOrder;
use App\Paths\Data\PathPicture;
use App\Paths\Data\SignatureRow;
use App\People\Ability;
use App\People\Models\Person;
use OpenApi\Attributes as OA;
use Orthotaxis\Core\Approval\Digest;
use Orthotaxis\Core\Change\Order;
use Orthotaxis\Core\Rights\Duty;

#[OA\Schema]
final readonly class OrderData
{
    /**
     * @param  list<OrderItemData>  $items
     * @param  list<CheckRow>  $checks  for the next step
     * @param  list<SignatureRow>  $signatures  newest first
     * @param  list<string>  $requests  numbers
     * @param  list<value-of<OrderAct>>  $may
     * @param  list<TiedOrderRow>  $subordinates
     * @param  list<WaiverRow>  $waivers
     */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $title,
        #[OA\Property] public string $description,
        #[OA\Property(enum: ['critical', 'high', 'normal', 'low'])] public string $priority,
        #[OA\Property(enum: ['planning', 'revising', 'in_review', 'signed', 'released', 'closed', 'withdrawn'])] public string $state,
        #[OA\Property(description: 'not released yet')] public bool $is_open,
        #[OA\Property] public ?string $effective_on,
        #[OA\Property] public string $author,
        #[OA\Property(description: 'sign-in name')] public ?string $editor,
        #[OA\Property] public ?string $editor_name,
        #[OA\Property(description: 'sign-in name')] public ?string $signer,
        #[OA\Property] public ?string $signer_name,
        #[OA\Property] public string $raised_at,
        #[OA\Property] public ?string $sent_to_review_at,
        #[OA\Property] public ?string $released_at,
        #[OA\Property] public ?string $closed_at,
        #[OA\Property] public int $version,
        #[OA\Property(description: 'what a signature given now would cover')] public string $digest,
        #[ListOf(OrderItemData::class)] public array $items,
        #[ListOf(CheckRow::class)] public array $checks,
        #[ListOf(SignatureRow::class)] public array $signatures,
        #[ListOf('string')] public array $requests,
        #[
            OA\Property(
                type: 'array',
                items: new OA\Items(type: 'string', enum: ['plan', 'revise', 'submit', 'send_back', 'sign', 'release', 'close']),
                description: 'what you may do with it, when it is time',
            ),
        ]
        public array $may,
        #[OA\Property(ref: PathPicture::class)] public PathPicture $path,
        #[OA\Property(ref: OnHold::class, nullable: true)] public ?OnHold $on_hold,
        #[OA\Property(ref: TiedOrderRow::class, nullable: true, description: 'to which it is subordinate')] public ?TiedOrderRow $parent,
        #[ListOf(TiedOrderRow::class)] public array $subordinates,
        #[ListOf(WaiverRow::class)] public array $waivers,
        #[OA\Property(description: 'whether you may let a check go')] public bool $may_waive,
    ) {}

    /**
     * @param  list<OrderItemData>  $items
     * @param  list<CheckRow>  $checks
     */
    public static function of(ChangeOrder $order, Order $core, ?Person $by, array $items, array $checks): self
    {
        $order->loadMissing(['signatures.for', 'path', 'onHoldBy']);

        return new self(
            number: $order->number,
            title: $order->title,
            description: $order->description,
            priority: $order->priority,
            state: $order->state->value,
            is_open: $order->state->isOpen(),
            effective_on: $order->effective_on,
            author: $order->author->name,
            editor: $order->editor?->login,
            editor_name: $order->editor?->name,
            signer: $order->signer?->login,
            signer_name: $order->signer?->name,
            raised_at: $order->raised_at->toIso8601String(),
            sent_to_review_at: $order->sent_to_review_at?->toIso8601String(),
            released_at: $order->released_at?->toIso8601String(),
            closed_at: $order->closed_at?->toIso8601String(),
            version: $order->version,
            digest: Digest::of($core),
            items: $items,
            checks: $checks,
            signatures: $order->signatures->map(SignatureRow::of(...))->values()->all(),
            requests: $order->requests->map(static fn($request): string => $request->number)->values()->all(),
            may: $by === null ? [] : array_column(OrderPolicy::acts($by, $order), 'value'),
            on_hold: OnHold::of($order),
            parent: $order->parent === null ? null : TiedOrderRow::of($order->parent, $order->with_parent),
            subordinates: $order->subordinates
                ->map(static fn(ChangeOrder $one): TiedOrderRow => TiedOrderRow::of($one, $one->with_parent))
                ->values()
                ->all(),
            path: PathOfOrder::picture($order, $core, $by),
            waivers: $order->waivers->map(WaiverRow::of(...))->values()->all(),
            may_waive: $by?->mayDo(Ability::WaiveCheck, $order->number) === true &&
                $order->state->allowsPlanning() &&
                app(Duties::class)->refusal(Duty::Waive, $by, $order) === null,
        );
    }
}
