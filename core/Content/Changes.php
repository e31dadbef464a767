<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Content;

/** What differs between two contents of one subject; counted without what is the same. */
interface Changes extends \Countable {}
