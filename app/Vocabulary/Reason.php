<?php

declare(strict_types=1);

namespace App\Vocabulary;

/** Why a change is asked for. */
enum Reason: string
{
    case Defect = 'defect';
    case Safety = 'safety';
    case CostSaving = 'cost_saving';
    case EndOfLife = 'end_of_life';
    case Improvement = 'improvement';
    case Regulation = 'regulation';
    case Manufacturability = 'manufacturability';
}
