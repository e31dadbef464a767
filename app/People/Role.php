<?php

declare(strict_types=1);

namespace App\People;

enum Role: string
{
    case Coordinator = 'coordinator';
    case DesignEngineer = 'design_engineer';
    case ElectronicsEngineer = 'electronics_engineer';
    case ManufacturingEngineer = 'manufacturing_engineer';
    case Planner = 'planner';
    case Buyer = 'buyer';
    case Quality = 'quality';
    case Service = 'service';
    case BoardMember = 'board_member';
    case Administrator = 'administrator';
    case Viewer = 'viewer';

    public function label(): string
    {
        return ucfirst(str_replace('_', ' ', $this->value));
    }
}
