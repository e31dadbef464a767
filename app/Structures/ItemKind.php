<?php

declare(strict_types=1);

namespace App\Structures;

enum ItemKind: string
{
    case Assembly = 'assembly';
    case Part = 'part';
    case RawMaterial = 'raw_material';
    case Consumable = 'consumable';
    case Packaging = 'packaging';
    case Document = 'document';
    case Drawing = 'drawing';
    case Software = 'software';
    case Tool = 'tool';
    case Service = 'service';

    public function label(): string
    {
        return ucfirst(str_replace('_', ' ', $this->value));
    }

    /** @return list<self> kinds that no design model shows */
    public static function shapeless(): array
    {
        return [self::Consumable, self::Packaging, self::Document, self::Drawing, self::Software, self::Service];
    }
}
