<?php

declare(strict_types=1);

namespace App\People\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A page that somebody keeps at hand. Its address holds all of the view: filters, columns' order, day.
 *
 * @property int $id
 * @property int $person_id
 * @property string $address
 * @property string $name
 * @property ?int $group_id  whose people have it too
 * @property-read Person $person
 * @property-read ?Group $group
 */
final class Favourite extends Model
{
    public $timestamps = false;

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Group, $this> */
    public function group(): BelongsTo
    {
        return $this->belongsTo(Group::class);
    }
}
