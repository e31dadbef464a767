<?php

declare(strict_types=1);

use App\Console\Commands\ForgetExpired;
use App\Dossier\Commands\CheckCutIns;
use App\Dossier\Commands\LookBackAtCutIns;
use App\Imports\Commands\EndLostImports;
use App\Ledger\Commands\AnchorLedger;
use App\Notices\Commands\SendDueMails;
use App\Orders\Commands\KeepActors;
use App\Releases\Commands\SweepOutbox;
use App\Structures\Commands\IndexStructures;
use App\Structures\Commands\PutDataInForceToday;
use Illuminate\Support\Facades\Schedule;

Schedule::command(CheckCutIns::class)->dailyAt('05:00')->withoutOverlapping()->runInBackground();
Schedule::command(LookBackAtCutIns::class)->dailyAt('05:15')->withoutOverlapping()->runInBackground();
Schedule::command(KeepActors::class)->dailyAt('00:02')->withoutOverlapping();
Schedule::command(AnchorLedger::class)->dailyAt('01:30');
Schedule::command(PutDataInForceToday::class)->everyMinute()->withoutOverlapping();
Schedule::command(SweepOutbox::class)->everyMinute()->withoutOverlapping();
Schedule::command(SendDueMails::class)->everyMinute()->withoutOverlapping()->runInBackground();
Schedule::command(EndLostImports::class)->everyMinute()->withoutOverlapping();
Schedule::command(ForgetExpired::class)->everyTenMinutes()->withoutOverlapping();
Schedule::command(IndexStructures::class, ['--when-behind'])
    ->everyMinute()
    ->withoutOverlapping()
    ->runInBackground();
