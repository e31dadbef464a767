<?php

declare(strict_types=1);

namespace App\People\Models;

use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;

/**
 * People of whom any may do what is asked of the group. Never deleted: what it was asked keeps its name.
 *
 * @property int $id
 * @property string $code
 * @property string $name
 * @property bool $retired whether it is offered no longer
 * @property int $version
 * @property-read Collection<int, Person> $members
 */
final class Group extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $casts = ['retired' => 'boolean'];

    /** @return BelongsToMany<Person, $this> */
    public function members(): BelongsToMany
    {
        return $this->belongsToMany(Person::class, 'group_members')->orderBy('name');
    }

    /** @return list<int> ids of the members who are active */
    public function active(): array
    {
        return array_values($this->members->where('active', true)->modelKeys());
    }
}
