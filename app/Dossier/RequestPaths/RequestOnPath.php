<?php

declare(strict_types=1);

namespace App\Dossier\RequestPaths;

use App\Paths\Judged;
use App\Paths\Models\ApprovalPath;
use App\Paths\Models\Signature;
use App\Paths\ResponsibleReader;
use App\Paths\Roles;
use App\People\Ability;
use App\People\Models\Person;
use App\Requests\Models\ChangeRequest;
use App\Structures\Models\Item;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use Orthotaxis\Core\Approval\Facts;
use Orthotaxis\Core\Approval\Path;
use Orthotaxis\Core\Change\RequestState;

/**
 * A request as it is judged on its path. While it is, what was signed of something else than what the request is now does not count.
 */
final readonly class RequestOnPath implements Judged
{
    private const EDITORS = "
        SELECT DISTINCT e.author_id FROM edits e
        JOIN works w ON w.id = e.work_id
        JOIN change_order_items i ON i.id = w.order_item_id
        JOIN change_orders o ON o.id = i.order_id
        WHERE o.number = ? AND o.state = 'proposed' AND e.withdrawn_at IS NULL AND e.discarded_at IS NULL";

    /** @param  string  $digest  of what the request is now */
    public function __construct(private ChangeRequest $request, private string $digest) {}

    public function model(): Model
    {
        return $this->request;
    }

    public function number(): string
    {
        return $this->request->number;
    }

    public function approvalPath(): ?ApprovalPath
    {
        $this->request->loadMissing('path');

        return $this->request->path;
    }

    public function path(): Path
    {
        return $this->approvalPath()?->path() ?? Path::oneSigner();
    }

    /** Without what is void: it was done of something else, before it was sent back, or on a path that it has left. */
    public function signatures(): Collection
    {
        return $this->request->signatures->reject(
            fn(Signature $one): bool => $one->void || ($one->meaning === 'signed' && $this->isUnderWay() && $one->digest !== $this->digest),
        );
    }

    /** As they were with the finding, and with what it costs since. */
    public function facts(): Facts
    {
        return new Facts($this->request->facts);
    }

    public function named(string $role): array
    {
        return match ($role) {
            Roles::ORIGINATOR => [$this->request->raisedBy->login],
            Roles::OWNER => Roles::responsible(ResponsibleReader::CATEGORY, $this->categories()),
            Roles::PLANNER => Roles::responsible(ResponsibleReader::PLANT, [$this->request->site]),
            Path::SIGNER, Roles::EDITOR => [],
            default => [$role],
        };
    }

    public function maySign(Person $person): bool
    {
        return $person->mayDo(Ability::JudgeRequest, $this->request->number);
    }

    /** Who raised it, what is gathered into it or the reports it answers, and who edited the lines that it proposes. */
    public function barred(): array
    {
        $barred = $this->request->proposers();
        foreach (DB::select(self::EDITORS, [$this->request->number]) as $row) {
            $barred[] = (int) $row->author_id;
        }

        return array_values(array_unique($barred));
    }

    public function isUnderWay(): bool
    {
        return $this->request->state === RequestState::Assessing;
    }

    public function began(): ?CarbonImmutable
    {
        return $this->request->assessed_at;
    }

    public function daysMoved(): int
    {
        return 0;
    }

    /** @return list<string> */
    private function categories(): array
    {
        $this->request->loadMissing('items.category');

        return array_values($this->request->items->map(static fn(Item $item): string => $item->category->code ?? '')->all());
    }
}
