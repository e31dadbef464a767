<?php

declare(strict_types=1);

// Who is told of what happens, in the product and by mail.
return [
    // Off while data is made up that nobody has to be told of.
    'tell' => true,
];
