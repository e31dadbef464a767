<?php

declare(strict_types=1);

namespace App\Packages;

use App\Packages\Models\ReleasePackage;
use App\Seals\HouseSeal;

/**
 * Writes a package: a ZIP of plain files, with a manifest that has the SHA-256 of each, and a signature of the manifest with the house key.
 * A stranger checks it with sha256sum and openssl alone; README.txt in it says how.
 */
final readonly class PackageWriter
{
    public function __construct(private PackageContents $contents, private HouseSeal $seal) {}

    /**
     * @param  string  $path  where it is written
     * @param  \Closure(int, int): bool  $goesOn  told how many of how many parts are in it; false: nobody wants it any more
     * @return bool whether it is whole
     */
    public function write(ReleasePackage $package, string $path, \Closure $goesOn): bool
    {
        $zip = new \ZipArchive();
        if ($zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE) !== true) {
            throw new \RuntimeException("{$path} cannot be written.");
        }
        $manifest = [];
        $add = static function (string $name, string $content) use ($zip): void {
            $zip->addFromString($name, $content);
            // Written out part by part is up to the library; only one part is held here.
            $zip->setCompressionName($name, \ZipArchive::CM_DEFLATE);
        };
        $parts = $this->contents->of($package);
        foreach ($parts as $done => $part) {
            if (!$goesOn($done, count($parts))) {
                $zip->unchangeAll();
                @$zip->close();

                return false;
            }
            foreach ($part() as $name => $content) {
                $add($name, $content);
                $manifest[$name] = hash('sha256', $content);
            }
        }
        foreach (['README.txt' => self::readme($package), 'house-key.pem' => $this->seal->publicKey()] as $name => $content) {
            $add($name, $content);
            $manifest[$name] = hash('sha256', $content);
        }
        ksort($manifest, SORT_STRING);
        $text = implode(
            '',
            array_map(static fn(string $sha, string $name): string => "{$sha}  {$name}\n", $manifest, array_keys($manifest)),
        );
        $add('manifest.txt', $text);
        $add('manifest.sig', $this->seal->of($text));

        return $zip->close() && $goesOn(count($parts), count($parts));
    }

    private static function readme(ReleasePackage $package): string
    {
        $home = url('/house-key.pem');

        return <<<TEXT
        Release package of {$package->order->number}, {$package->order->title}
        Made on {$package->asked_at->toDateString()}: stamps on sheets tell the status of that day.

        To check that nothing was changed, added or lost:

            sha256sum --check manifest.txt
            openssl dgst -sha256 -verify house-key.pem -signature manifest.sig manifest.txt

        The first says OK for every file; the second "Verified OK". That house-key.pem is the key of the house, compare with
        {$home}

        TEXT;
    }
}
