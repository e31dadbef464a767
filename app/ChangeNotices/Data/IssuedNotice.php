<?php

declare(strict_types=1);

namespace App\ChangeNotices\Data;

use App\ChangeNotices\Models\ChangeNotice;
use App\ChangeNotices\Models\NoticeCopy;
use App\Http\Api\ListOf;
use App\People\Models\Person;
use OpenApi\Attributes as OA;

/** A change notice as it was issued, and to whom it went. */
#[OA\Schema]
final readonly class IssuedNotice
{
    /** @param  list<CopyRow>  $copies  by name */
    private function __construct(
        #[OA\Property] public string $number,
        #[OA\Property] public string $order,
        #[OA\Property] public string $title,
        #[OA\Property(description: 'SHA-256 of the JSON')] public string $sha256,
        #[OA\Property] public string $issued_at,
        #[OA\Property] public string $issued_by,
        #[OA\Property(ref: NoticeContent::class)] public \stdClass $content,
        #[ListOf(CopyRow::class)] public array $copies,
        #[OA\Property(ref: CopyRow::class, nullable: true, description: 'that you have')] public ?CopyRow $mine,
    ) {}

    public static function of(ChangeNotice $notice, Person $reader): self
    {
        $copies = $notice->copies()->with('person')->get()->sortBy('person.name')->values();
        $mine = $copies->firstWhere('person_id', $reader->id);

        return new self(
            number: $notice->number,
            order: $notice->order->number,
            title: $notice->order->title,
            sha256: $notice->sha256,
            issued_at: $notice->issued_at->toIso8601String(),
            issued_by: $notice->issuer->name,
            content: (object) json_decode($notice->content, flags: JSON_THROW_ON_ERROR),
            copies: array_values($copies->map(CopyRow::of(...))->all()),
            mine: $mine instanceof NoticeCopy ? CopyRow::of($mine) : null,
        );
    }
}
