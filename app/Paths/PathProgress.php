<?php

declare(strict_types=1);

namespace App\Paths;

use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Approval\Progress;
use Orthotaxis\Core\Approval\Roster;

/** How far a change has come on its path. */
final readonly class PathProgress
{
    public static function of(Judged $change): Progress
    {
        $path = $change->path();
        $acts = [];
        $names = [];
        foreach ($path->steps as $step) {
            array_push($names, ...$step->who);
        }
        foreach ($change->signatures()->sortBy('id') as $one) {
            $acts[] = $act = $one->act();
            array_push($names, ...$act->to);
        }

        return Progress::of(
            $path,
            $change->facts(),
            self::roster($change, array_values(array_unique($names))),
            $acts,
            $change->barred(),
            $change->isUnderWay(),
            PathTasks::over($change),
        );
    }

    /**
     * Asked several times of a change that is read once: who is who is kept as long as it is.
     *
     * @param  list<string>  $names
     */
    private static function roster(Judged $change, array $names): Roster
    {
        /** @var ?\WeakMap<Model, array<string, Roster>> $known */
        static $known = null;
        $known ??= new \WeakMap();
        $record = $change->model();
        $key = implode(' ', [...$change->named(Path::SIGNER), ...$names]);
        $ofChange = $known[$record] ?? [];
        $ofChange[$key] ??= RosterReader::of($change, $names);
        $known[$record] = $ofChange;

        return $ofChange[$key];
    }
}
