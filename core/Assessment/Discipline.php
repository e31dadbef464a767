<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Assessment;

/** The functions of the company that a change is looked at by. */
enum Discipline: string
{
    case Design = 'design';
    case Manufacturing = 'manufacturing';
    case Purchasing = 'purchasing';
    case Quality = 'quality';
    case Service = 'service';
    case Finance = 'finance';
}
