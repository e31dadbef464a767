<?php

declare(strict_types=1);

namespace App\Vocabulary;

use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Rules\Exists;

/** What people choose from, and an administrator sets up. */
enum ChoiceList: string
{
    /** A site, which as a plant may have manufacturing structures of its own. */
    case Site = 'site';

    /** Why a change is asked for. */
    case Reason = 'reason';

    /** Where the wish for a change, or the report of a problem, comes from. */
    case Source = 'source';

    /** A function of the company that a change is looked at by. */
    case CompanyFunction = 'function';

    /** A kind of record of another process that a change refers to: a complaint, a project. */
    case Record = 'record';

    /**
     * @param  string  $chosen  that it is chosen already, and stays possible
     * @return array<string, string> name by code, of those that can be chosen, in the order they were set up
     */
    public function offered(string $chosen): array
    {
        /** @var array<string, string> */
        return DB::table('choices')
            ->where('list', $this->value)
            ->where(static fn(Builder $one): Builder => $one->where('retired', false)->orWhere('code', $chosen))
            ->orderBy('id')
            ->pluck('name', 'code')
            ->all();
    }

    /** @return array<string, string> name by code, of all that there are, or have been */
    public function names(): array
    {
        /** @var array<string, string> */
        return DB::table('choices')->where('list', $this->value)->orderBy('id')->pluck('name', 'code')->all();
    }

    /** @return list<string> the codes of all that there are, or have been */
    public function codes(): array
    {
        /** @var list<string> */
        return DB::table('choices')->where('list', $this->value)->orderBy('id')->pluck('code')->all();
    }

    public function knows(string $code): bool
    {
        return DB::table('choices')->where('list', $this->value)->where('code', $code)->exists();
    }

    /** Takes the code of one that can be chosen. */
    public function isOffered(): Exists
    {
        return $this->isKnown()->where(static fn(Builder $one): Builder => $one->where('retired', false));
    }

    /** Takes the code of one that is chosen no longer as well. */
    public function isKnown(): Exists
    {
        return Rule::exists('choices', 'code')->where('list', $this->value);
    }
}
