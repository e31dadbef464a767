<?php

declare(strict_types=1);

namespace App\Seals\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * A key pair of the installation. The private half is encrypted with the key of the application.
 *
 * @property string $public PEM
 * @property string $private PEM
 */
final class HouseKey extends Model
{
    public $timestamps = false;

    protected $guarded = [];

    protected $hidden = ['private'];

    protected $casts = ['private' => 'encrypted'];
}
