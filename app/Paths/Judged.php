<?php

declare(strict_types=1);

namespace App\Paths;

use App\Paths\Models\ApprovalPath;
use App\Paths\Models\Signature;
use App\People\Models\Person;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Approval\Path;

/** A change that is judged on a path, with all that decides how far it has come. */
interface Judged
{
    /** By which it is known again: what is asked of it several times is read once. */
    public function model(): Model;

    /** Of the change. */
    public function number(): string;

    /** In the version on which it goes; null: it goes on none that was set up. */
    public function approvalPath(): ?ApprovalPath;

    public function path(): Path;

    /** @return Collection<int, Signature> all that was done on it, and what is void */
    public function signatures(): Collection;

    public function facts(): Facts;

    /** @return list<string> whom it means by a role: sign-in names, and groups by their code behind "group:" */
    public function named(string $role): array;

    /** Whether a person may sign anything of it at all. */
    public function maySign(Person $person): bool;

    /** @return list<int> ids of those who judge nothing of it: who proposed it, and whom another duty keeps from it */
    public function barred(): array;

    /** Whether it is being judged now. */
    public function isUnderWay(): bool;

    /** Since when it is judged; null: it is not. */
    public function began(): ?CarbonImmutable;

    /** By how many days what is due has moved while it was on hold. */
    public function daysMoved(): int;
}
