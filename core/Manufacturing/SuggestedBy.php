<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Manufacturing;

/** What says how an engineering line would be taken over. */
enum SuggestedBy: string
{
    /** What the plant built before: the line that stood for it. */
    case Before = 'before';
    /** Another item that the plant builds. */
    case Sibling = 'sibling';
    /** The category of the component. */
    case Category = 'category';
    /** The line before it in the engineering structure. */
    case Neighbour = 'neighbour';
}
