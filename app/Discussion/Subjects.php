<?php

declare(strict_types=1);

namespace App\Discussion;

use App\Orders\Models\ChangeOrder;
use App\Problems\Models\ProblemReport;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use Illuminate\Database\Eloquent\ModelNotFoundException;

/** What can be discussed, by its number: reports, requests, orders and items. */
final readonly class Subjects
{
    public static function find(string $number): ProblemReport|ChangeRequest|ChangeOrder|Item|null
    {
        foreach ([ProblemReport::class, ChangeRequest::class, ChangeOrder::class, Item::class] as $kind) {
            $found = $kind::query()->where('number', $number)->first();
            if ($found !== null) {
                return $found;
            }
        }

        return null;
    }

    /**
     * @param  array<mixed>  $numbers
     * @return array<string, string> titles by number, asked a fixed number of times
     */
    public static function titles(array $numbers): array
    {
        $titles = [];
        foreach ([ProblemReport::class, ChangeRequest::class, ChangeOrder::class, Item::class] as $kind) {
            $titles += $kind::query()->whereIn('number', $numbers)->pluck('title', 'number')->all();
        }

        /** @var array<string, string> */
        return $titles;
    }

    /** Ends with 404 when there is none. */
    public static function get(string $number): ProblemReport|ChangeRequest|ChangeOrder|Item
    {
        return self::find($number) ?? throw (new ModelNotFoundException())->setModel(Item::class, [$number]);
    }

    /** The page on which it is seen. */
    public static function path(ProblemReport|ChangeRequest|ChangeOrder|Item $subject): string
    {
        return match (true) {
            $subject instanceof ProblemReport => "/reports/{$subject->number}",
            $subject instanceof Item => "/items/{$subject->number}",
            default => "/changes/{$subject->number}",
        };
    }
}
