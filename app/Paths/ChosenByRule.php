<?php

declare(strict_types=1);

namespace App\Paths;

use App\Paths\Models\ApprovalPath;
use Illuminate\Database\Eloquent\Builder;
use Orthotaxis\Core\Approval\Condition;
use Orthotaxis\Core\Approval\Facts;

/**
 * Which path a rule chooses for a change: of those whose conditions all hold the one with the least rank. One without any conditions holds
 * for every change: it wants the greatest rank.
 */
final readonly class ChosenByRule
{
    /**
     * @param  \Closure(): Facts  $facts  of the change; not asked for where nothing is chosen by rule
     * @return ?ApprovalPath null where no rule chooses any
     */
    public static function of(Judges $what, \Closure $facts): ?ApprovalPath
    {
        $paths = self::rules($what)->orderBy('rank')->orderBy('code')->get();
        if ($paths->isEmpty()) {
            return null;
        }
        $known = $facts();

        return $paths->first(
            static fn(ApprovalPath $path): bool => Condition::allHold(PathSteps::conditions($path->chosen_when ?? []), $known),
        );
    }

    public static function hasRules(Judges $what): bool
    {
        return self::rules($what)->exists();
    }

    /** @return Builder<ApprovalPath> */
    private static function rules(Judges $what): Builder
    {
        return ApprovalPath::offered($what)->whereNotNull('chosen_when');
    }
}
