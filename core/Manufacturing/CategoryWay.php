<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

use Orthotaxis\Core\Refusal;

/** How plants take over what is of a category, where nothing else says how. */
final readonly class CategoryWay
{
    /**
     * @param  string  $category  its name
     * @param  string  $reason  that goes on record where it is left out; empty otherwise
     */
    private function __construct(public string $category, public TakenOver $how, public string $reason) {}

    /** @throws Refusal when it is left out and nobody says why */
    public static function of(string $category, TakenOver $how, string $reason): self
    {
        $reason = $how === TakenOver::LeftOut ? trim($reason) : '';
        if ($how === TakenOver::LeftOut && ($reason === '' || mb_strlen($reason) > PutOnRecord::LONGEST_REASON)) {
            throw Refusal::at(
                'taken_over_reason',
                'Say why it is left out, in at most ' . PutOnRecord::LONGEST_REASON . ' characters: that goes on record.',
            );
        }

        return new self($category, $how, $reason);
    }
}
