<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Dossier\Actions\RaiseOrder;
use App\Orders\Actions\PlanOrder;
use App\Orders\Models\ChangeOrder;
use App\People\Models\Person;
use App\Vocabulary\Priority;
use Illuminate\Database\Seeder;

/** The papers of the new regulator, which document control judges under an order of their own. */
final class SubordinateSeeder extends Seeder
{
    public function run(): void
    {
        $mira = Person::query()->where('login', 'mira.okafor')->firstOrFail();
        $parent = ChangeOrder::orders()->where('title', 'Voltage regulator reaches end of life')->firstOrFail();
        $order = app(RaiseOrder::class)->raise(
            $mira,
            title: 'Work instruction and test specification for the small outline',
            description: 'The line solders the small outline by hand until the new stencil is there; the test points move by 2 mm.',
            priority: Priority::High,
            items: ['820-0006', '830-0002'],
            requests: [],
            parent: $parent->number,
        );
        app(PlanOrder::class)->plan($mira, $order->number, ['editor' => 'samir.bello', 'signer' => 'greta.sorn'], $order->version);
    }
}
