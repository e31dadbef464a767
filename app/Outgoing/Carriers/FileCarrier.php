<?php

declare(strict_types=1);

namespace App\Outgoing\Carriers;

use App\Outgoing\Models\Channel;
use App\Outgoing\Models\Delivery;
use League\Flysystem\Filesystem;
use League\Flysystem\FilesystemException;

/**
 * Puts a message as a file into a folder, here or over there. It stands there whole or not at all: it is written under another name, which
 * begins with a point, and then called as it is called.
 */
abstract readonly class FileCarrier implements Carrier
{
    abstract protected function folder(Channel $channel): Filesystem;

    public function carry(Channel $channel, Delivery $delivery): string
    {
        try {
            $folder = $this->folder($channel);
            if ($folder->fileExists($delivery->name)) {
                return $folder->read($delivery->name) === $delivery->content
                    ? 'It was there already.'
                    : throw new NotCarried('Another file of this name is there.', true);
            }
            $unfinished = ".{$delivery->name}.part";
            $folder->write($unfinished, $delivery->content);
            $folder->move($unfinished, $delivery->name);
        } catch (FilesystemException $fault) {
            // What lies below may have said why; a path of the machine is nobody's business.
            throw self::below($fault) ?? new NotCarried('The file cannot be written there.', from: $fault);
        }

        return strlen($delivery->content) . ' bytes';
    }

    private static function below(\Throwable $fault): ?NotCarried
    {
        for ($one = $fault->getPrevious(); $one !== null; $one = $one->getPrevious()) {
            if ($one instanceof NotCarried) {
                return $one;
            }
        }

        return null;
    }
}
