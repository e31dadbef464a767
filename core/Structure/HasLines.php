<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Structure;

/** A content that is made of lines, perhaps among other things. */
interface HasLines
{
    public function lines(): Structure;
}
