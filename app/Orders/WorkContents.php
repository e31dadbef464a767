<?php

declare(strict_types=1);

namespace App\Orders;

use App\Orders\Contents\ContentKinds;
use App\Orders\Models\EditRecord;
use App\Orders\Models\WorkRecord;
use Orthotaxis\Core\Content\Content;
use Orthotaxis\Core\Content\Edit;

/** What one piece of work starts from and what it makes of that, whatever its kind, while it is held for an edit. */
final readonly class WorkContents
{
    public function __construct(private ContentKinds $kinds) {}

    public function before(WorkRecord $work): Content
    {
        $kind = $this->kinds->of($work->kind);

        return $work->base_id === null ? $kind->none() : $kind->read([$work->base_id])[$work->base_id] ?? $kind->none();
    }

    public function after(WorkRecord $work): Content
    {
        return $this->before($work)->edited($work->holding()->map(fn(EditRecord $edit): Edit => $this->edit($work, $edit))->all());
    }

    public function edit(WorkRecord $work, EditRecord $edit): Edit
    {
        return $this->kinds->of($work->kind)->edit($edit->operation, $edit->version, $edit->part, $edit->fields);
    }
}
