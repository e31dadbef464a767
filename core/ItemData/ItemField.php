<?php

declare(strict_types=1);

namespace Orthotaxis\Core\ItemData;

use Orthotaxis\Core\Quantity\FixedPoint;
use Orthotaxis\Core\Quantity\Money;
use Orthotaxis\Core\Quantity\Quantity;
use Orthotaxis\Core\Refusal;

/** What is known of an item besides what it is made of, and changes under an order. */
enum ItemField: string
{
    case StandardCost = 'standard_cost';
    /** In working days. */
    case LeadTime = 'lead_time_days';
    case Supply = 'supply';
    case Supplier = 'supplier';
    /** So much of it comes in one pack, in the unit of the item. */
    case Pack = 'pack';
    case Mass = 'mass_kg';
    case Material = 'material';
    case SafetyStock = 'safety_stock';
    case MinimumLot = 'minimum_lot';
    case LotMultiple = 'lot_multiple';
    /** One of those that its category asks for. */
    case Attribute = 'attribute';
    /** It is not used or made any more. */
    case Retired = 'retired';
    /** The number of the item that is used in its place. */
    case ReplacedBy = 'replaced_by';

    /** The longest text, where it is a text. */
    private const LONGEST = 120;

    /** Whether each plant has its own. */
    public function isOfPlant(): bool
    {
        return match ($this) {
            self::SafetyStock, self::MinimumLot, self::LotMultiple => true,
            default => false,
        };
    }

    /** Whether there can be several, each of which has to be named. */
    public function isOfSeveral(): bool
    {
        return $this === self::Attribute || $this->isOfPlant();
    }

    public function label(): string
    {
        return match ($this) {
            self::StandardCost => 'Standard cost',
            self::LeadTime => 'Lead time',
            self::Supply => 'Supply',
            self::Supplier => 'Supplier',
            self::Pack => 'Quantity per pack',
            self::Mass => 'Mass',
            self::Material => 'Material',
            self::SafetyStock => 'Safety stock',
            self::MinimumLot => 'Minimum lot',
            self::LotMultiple => 'Lot multiple',
            self::Attribute => 'Attribute',
            self::Retired => 'Retired',
            self::ReplacedBy => 'Replaced by',
        };
    }

    /**
     * @param  string  $text  as typed; empty: it is not known any more
     * @param  string  $place  where it is refused
     * @return string as it is kept: "12.50", "30", "yes"
     *
     * @throws Refusal when it cannot be read
     */
    public function read(string $text, string $place): string
    {
        $text = trim($text);
        if ($text === '') {
            return $this === self::Supply ? throw Refusal::at($place, 'Say whether it is made, bought or subcontracted.') : '';
        }

        return match ($this) {
            self::StandardCost => self::amount($text, $place),
            self::LeadTime => preg_match('/^\d{1,4}$/D', $text) === 1 && (int) $text <= 3650
                ? (string) (int) $text
                : throw Refusal::at($place, 'Write whole working days, at most 3650.'),
            self::Supply => in_array($text, ['make', 'buy', 'subcontract'], true)
                ? $text
                : throw Refusal::at($place, 'Use make, buy or subcontract.'),
            self::Mass => self::mass($text, $place),
            self::Pack, self::MinimumLot, self::LotMultiple => self::quantity($text, $place, mayBeNothing: false),
            self::SafetyStock => self::quantity($text, $place, mayBeNothing: true),
            self::Retired => $text === 'yes' ? $text : throw Refusal::at($place, 'Write yes, or nothing.'),
            default => mb_strlen($text) <= self::LONGEST ? $text : throw Refusal::at($place, 'At most ' . self::LONGEST . ' characters.'),
        };
    }

    private static function amount(string $text, string $place): string
    {
        $amount = Money::parse($text, $place);

        return $amount->tenThousandths < 0 ? throw Refusal::at($place, 'A cost is nothing or more.') : (string) $amount;
    }

    private static function mass(string $text, string $place): string
    {
        $milligrams = preg_match('/^\d{1,9}(\.\d{1,6})?$/D', $text) === 1 ? FixedPoint::parse($text, 6) : null;

        return $milligrams === null
            ? throw Refusal::at($place, 'Write the kilograms of one, such as 0.125.')
            : FixedPoint::format($milligrams, 6);
    }

    private static function quantity(string $text, string $place, bool $mayBeNothing): string
    {
        $quantity = Quantity::parse($text, $place);
        if ($quantity->millionths < 0 || (!$mayBeNothing && !$quantity->isPositive())) {
            throw Refusal::at($place, $mayBeNothing ? 'It is nothing or more.' : 'It is more than nothing.');
        }

        return (string) $quantity;
    }
}
