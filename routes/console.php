<?php

declare(strict_types=1);

use App\Console\Commands\ForgetExpired;
use App\Dossier\Commands\CheckCutIns;
use App\Dossier\Commands\KeepRequestActors;
use App\Dossier\Commands\LookBackAtCutIns;
use App\FollowThrough\Commands\FollowOrders;
use App\Imports\Commands\EndLostImports;
use App\Ledger\Commands\AnchorLedger;
use App\Notices\Commands\SendDueMails;
use App\Notices\Commands\TellDeadlines;
use App\Orders\Commands\KeepActors;
use App\Outgoing\Commands\SweepDeliveries;
use App\Releases\Commands\SweepOutbox;
use App\Structures\Commands\IndexStructures;
use App\Structures\Commands\PutDataInForceToday;
use App\Verification\Commands\VerifyEverything;
use Illuminate\Support\Facades\Schedule;

Schedule::command(CheckCutIns::class)->dailyAt('05:00')->withoutOverlapping()->runInBackground();
Schedule::command(LookBackAtCutIns::class)->dailyAt('05:15')->withoutOverlapping()->runInBackground();
Schedule::command(KeepActors::class)->dailyAt('00:02')->withoutOverlapping();
Schedule::command(KeepRequestActors::class)->dailyAt('00:04')->withoutOverlapping();
Schedule::command(AnchorLedger::class)->dailyAt('01:30');
// After the day has changed, and before anybody orders by it.
Schedule::command(VerifyEverything::class)->dailyAt('02:00')->withoutOverlapping();
Schedule::command(PutDataInForceToday::class)->everyMinute()->withoutOverlapping();
// What planning tells of late in the day is seen the next morning.
Schedule::command(FollowOrders::class)->hourlyAt(20)->between('05:00', '20:00')->withoutOverlapping();
Schedule::command(SweepOutbox::class)->everyMinute()->withoutOverlapping();
Schedule::command(SweepDeliveries::class)->everyMinute()->withoutOverlapping();
// Often on a working day, so that a morning without power loses nothing; everything is told once.
Schedule::command(TellDeadlines::class)->hourlyAt(10)->weekdays()->between('06:00', '18:00')->withoutOverlapping()->runInBackground();
Schedule::command(SendDueMails::class)->everyMinute()->withoutOverlapping()->runInBackground();
Schedule::command(EndLostImports::class)->everyMinute()->withoutOverlapping();
Schedule::command(ForgetExpired::class)->everyTenMinutes()->withoutOverlapping();
Schedule::command(IndexStructures::class, ['--when-behind'])
    ->everyMinute()
    ->withoutOverlapping()
    ->runInBackground();
