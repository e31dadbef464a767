<?php

declare(strict_types=1);

namespace App\Changes;

enum Site: string
{
    case Tarn = 'Tarn';
    case Weir = 'Weir';
}
