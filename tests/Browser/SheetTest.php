<?php

declare(strict_types=1);

use Symfony\Component\Process\Process;

/* Sheets and packages for people without an account. */

it('answers whoever scans an old print, without an account, until the address is withdrawn', function (): void {
    $this->screen->signIn('jonas.weir', '/items/800-0010/sheet')->see('Revision B comes into force');
    $this->screen->see('Stamped PDF, German')->press('Create address')->see('on every print as a code');
    $address = (string) $this->screen->find('//a[contains(@href, "/s/")]')?->getAttribute('href');
    $scanned = static fn(string $path): string => (string) file_get_contents(
        $path,
        false,
        stream_context_create(['http' => ['ignore_errors' => true]]),
    );
    expect($scanned($address))
        ->toContain('IN FORCE')
        ->toContain('then B, from')
        ->and(substr($scanned("{$address}.pdf"), 0, 5))
        ->toBe('%PDF-');
    $this->screen->press('Withdraw address')->see('No address yet.');
    expect($scanned($address))->toContain('withdrawn')->not->toContain('800-0010');
});

it('packs what an order released, and openssl finds it whole', function (): void {
    $this->screen
        ->signIn('mira.okafor', '/changes/ECO-00082')
        ->choose('Language of the package', 'German')
        ->press('Create package')
        ->see('ECO-00082_de_')
        ->see('German, ');
    $zip = $this->screen->download((string) $this->screen->find('//a[@download][contains(., "_de_")]')?->getAttribute('href'));
    $folder = sys_get_temp_dir() . '/package-' . bin2hex(random_bytes(4));
    mkdir($folder);
    rename($zip, "{$folder}/package.zip");
    foreach (
        [
            ['unzip', '-q', 'package.zip'],
            ['sha256sum', '--check', '--quiet', 'manifest.txt'],
            ['openssl', 'dgst', '-sha256', '-verify', 'house-key.pem', '-signature', 'manifest.sig', 'manifest.txt'],
        ]
        as $command
    ) {
        expect((new Process($command, $folder))->run())->toBe(0, implode(' ', $command));
    }
    expect(glob("{$folder}/sheets/800-0010_B_*.pdf"))
        ->toHaveCount(1)
        ->and((string) file_get_contents("{$folder}/before-and-after.html"))
        ->toContain('Vorher und nachher')
        ->and(glob("{$folder}/hand-over/ECO-00082_*.xml"))
        ->toHaveCount(1);
});
