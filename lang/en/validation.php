<?php

declare(strict_types=1);

// Stands at the field it is about, and so does not name it. What is not here has words of its own where it is asked.
return [
    'after_or_equal' => 'Give a day from :date on.',
    'array' => 'A list is expected here.',
    'between' => [
        'array' => 'From :min to :max entries.',
        'file' => 'From :min to :max kilobytes.',
        'numeric' => 'A number from :min to :max.',
        'string' => 'From :min to :max characters.',
    ],
    'boolean' => 'Say true or false.',
    'date' => 'Give a day, such as 2026-11-27.',
    'date_format' => 'Give a day, such as 2026-11-27.',
    'distinct' => 'This is named twice.',
    'enum' => 'This is none of the values there are.',
    'exists' => 'This is none of the values there are.',
    'file' => 'Choose a file.',
    'in' => 'This is none of the values there are.',
    'integer' => 'Give a whole number.',
    'list' => 'A list is expected here.',
    'max' => [
        'array' => 'At most :max entries.',
        'file' => 'At most :max kilobytes.',
        'numeric' => 'At most :max.',
        'string' => 'At most :max characters.',
    ],
    'min' => [
        'array' => 'At least :min entries.',
        'file' => 'At least :min kilobytes.',
        'numeric' => 'At least :min.',
        'string' => 'At least :min characters.',
    ],
    'numeric' => 'Give a number.',
    'present' => 'This is missing.',
    'regex' => 'This cannot be written so.',
    'required' => 'This cannot be empty.',
    'required_if' => 'This cannot be empty here.',
    'required_unless' => 'This cannot be empty here.',
    'required_with' => 'This cannot be empty here.',
    'required_without' => 'This cannot be empty here.',
    'string' => 'Give this as text.',
    'uploaded' => 'The file did not arrive whole. Send it again.',
    'uuid' => 'This is no UUID.',
];
