<?php

declare(strict_types=1);

namespace App\Orders\Subjects;

use Orthotaxis\Core\Refusal;

/** How each kind of subject is edited. */
final class SubjectEditors
{
    /** @var array<string, SubjectEditor> by kind */
    private array $editors = [];

    public function add(SubjectEditor $editor): void
    {
        $this->editors[$editor->kind()] = $editor;
    }

    /** @throws Refusal when there is no such kind */
    public function of(string $kind): SubjectEditor
    {
        return $this->editors[$kind] ?? throw Refusal::at('work', "Orders do no work called {$kind}.");
    }
}
