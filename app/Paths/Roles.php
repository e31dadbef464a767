<?php

declare(strict_types=1);

namespace App\Paths;

use App\Paths\Models\Responsible;
use Orthotaxis\Core\Approval\Path;

/** The roles of a change that paths name. Whom they mean the change says. */
final readonly class Roles
{
    /** Who raised it; of an order, who raised the requests in it. */
    public const ORIGINATOR = 'role:originator';

    public const EDITOR = 'role:editor';

    /** Of the items that it changes, by their category. */
    public const OWNER = 'role:owner';

    /** Of the plants that it touches. */
    public const PLANNER = 'role:planner';

    public const ALL = [Path::SIGNER, self::ORIGINATOR, self::EDITOR, self::OWNER, self::PLANNER];

    /** A request has nobody yet who edits it, and names no signer. */
    public const OF_REQUESTS = [self::ORIGINATOR, self::OWNER, self::PLANNER];

    /** Nobody judges what they have asked for. */
    public const SIGNING_REQUESTS = [self::OWNER, self::PLANNER];

    /**
     * @param  string  $field  as ResponsibleReader names it
     * @param  list<string>  $codes
     * @return list<string> sign-in names, and groups by their code behind "group:"
     */
    public static function responsible(string $field, array $codes): array
    {
        /** @var list<string> */
        return Responsible::query()->where('field', $field)->whereIn('code', array_unique($codes))->orderBy('code')->pluck('who')->all();
    }
}
