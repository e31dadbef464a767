<?php

declare(strict_types=1);

namespace App\Tasks;

use App\People\Models\Group;
use App\People\Models\Person;
use Orthotaxis\Core\Refusal;
use Orthotaxis\Core\Task\Task;

/** Whom a task is for: one person, or a group. */
final readonly class Assignee
{
    private function __construct(public ?Person $person, public ?Group $group) {}

    /**
     * @param  string  $to  sign-in name of a person, or the code of a group with "group:" before it
     * @param  string  $place  where a reason is told
     */
    public static function named(string $to, string $place = 'to'): self
    {
        if (str_starts_with($to, 'group:')) {
            $group = Group::query()->with('members')->where('code', substr($to, 6))->where('retired', false)->first();

            return match (true) {
                $group === null => throw Refusal::at($place, 'There is no such group.'),
                $group->active() === [] => throw Refusal::at($place, 'Nobody is in this group.'),
                default => new self(null, $group),
            };
        }
        $person = Person::query()->where('login', $to)->where('active', true)->first();

        return new self($person ?? throw Refusal::at($place, 'Choose a person or a group.'), null);
    }

    public function task(): Task
    {
        return $this->person === null ? Task::for($this->group?->active() ?? [], true) : Task::for([$this->person->id], false);
    }

    /** As a question names it. */
    public function name(): string
    {
        return $this->person === null ? "group:{$this->group?->code}" : $this->person->login;
    }

    /** @return array{person_id: ?int, group_id: ?int} */
    public function columns(): array
    {
        return ['person_id' => $this->person?->id, 'group_id' => $this->group?->id];
    }
}
