<?php

declare(strict_types=1);

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Tests\Browser\Support\Api;

it('takes a design model over: what is new gets a number, what differs becomes edits, all of it undone as one', function (): void {
    $mira = new Api($this->address, 'mira.okafor');
    $order = $mira->order('Strap as in the new model', '400-0001');
    $mira->call('PATCH', "/orders/{$order}", [
        'editor' => 'jonas.weir',
        'signer' => 'helen.marsh',
        'effective_on' => date('Y-m-d', strtotime('+90 days')),
        'version' => 1,
    ]);
    $mira->call('PUT', "/orders/{$order}/items/400-0001", ['outcome' => 'revise', 'disposition' => 'use_up', 'version' => 2]);
    $mira->call('POST', "/orders/{$order}/opening", ['version' => 3]);
    $model = sys_get_temp_dir() . '/orthotaxis-battery.csv';
    $rows = ['400-0002,,4', '400-0003,,1', '400-0004,,1', '400-0005,,3', '500-0013,,1', '700-0007,,1', 'BUCKLE_2,Buckle,1'];
    file_put_contents(
        $model,
        "parent,component,title,quantity\n" . implode('', array_map(static fn(string $row): string => "400-0001,{$row}\n", $rows)),
    );
    $this->screen
        ->signIn('jonas.weir', "/changes/{$order}")
        ->click('//a[normalize-space()="Take over a design model"]')
        ->see('What is not modelled stays.');
    $input = $this->screen->driver->findElement(WebDriverBy::cssSelector('input[type=file]'));
    $input->setFileDetector(new LocalFileDetector());
    $input->sendKeys($model);
    $this->screen->see('BUCKLE_2 has no number yet')->choose('Category of BUCKLE_2', 'Power')->press('Take over 2 differences');
    $this->screen->see('Taken over')->see('The structures say what the model says.');
    $this->screen
        ->visit("/orders/{$order}/revise/400-0001")
        ->see('Buckle')
        ->see('changed')
        ->press('Undo')
        ->see('No differences');
});
