<?php

declare(strict_types=1);

use App\People\Models\Person;

/** Whoever asks for what is measured, with the password given: made when there is nobody yet. */
function measurer(string $password): Person
{
    return Person::query()->updateOrCreate(
        ['login' => 'bench'],
        ['name' => 'Bench', 'email' => 'bench@quillback.example', 'password' => $password, 'roles' => ['coordinator'], 'active' => true],
    );
}
