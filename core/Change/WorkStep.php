<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Change;

/** The eight steps of a change, in the order of work. */
enum WorkStep: string
{
    case TakeIn = 'take_in';
    case Assess = 'assess';
    case Order = 'order';
    case Revise = 'revise';
    case Sign = 'sign';
    case Release = 'release';
    case FollowThrough = 'follow_through';
    case LookBack = 'look_back';
}
