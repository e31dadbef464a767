<?php

declare(strict_types=1);

// Who is told of what happens, in the product and by mail.
return [
    // Off while data is made up that nobody has to be told of.
    'tell' => true,
    // Of tasks, questions and acknowledgements; steps of approval paths say it themselves. In working days.
    'remind_days' => (int) env('NOTICE_REMIND_DAYS', 1),
    'escalate_days' => (int) env('NOTICE_ESCALATE_DAYS', 3),
];
