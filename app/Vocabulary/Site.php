<?php

declare(strict_types=1);

namespace App\Vocabulary;

enum Site: string
{
    case Tarn = 'Tarn';
    case Weir = 'Weir';
}
