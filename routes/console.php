<?php

declare(strict_types=1);

use App\Releases\Commands\SweepOutbox;
use Illuminate\Support\Facades\Schedule;

Schedule::command(SweepOutbox::class)->everyMinute()->withoutOverlapping();
