<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\UploadedFile;
use Orthotaxis\Core\Refusal;

/** For requests that bring one file, in the field named file. */
trait BringsFile
{
    public function brought(): UploadedFile
    {
        $file = $this->file('file');

        return $file instanceof UploadedFile ? $file : throw Refusal::at('file', 'Choose a file.');
    }
}
