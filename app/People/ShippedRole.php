<?php

declare(strict_types=1);

namespace App\People;

/** The roles that come with the product (config/abilities.php). What they may, and which there are besides, is set up since then. */
enum ShippedRole: string
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
}
