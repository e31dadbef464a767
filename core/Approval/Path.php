<?php

declare(strict_types=1);

namespace Orthotaxis\Core\Approval;

use Orthotaxis\Core\Refusal;

/** The steps in which a change is judged. */
final readonly class Path
{
    /** The role of the person whom an order names to sign it. */
    public const SIGNER = 'role:signer';

    /**
     * @param  non-empty-list<PathStep>  $steps
     *
     * @throws Refusal when two steps have one name, or a stage between others has none
     */
    public function __construct(public array $steps)
    {
        $names = $stages = [];
        foreach ($steps as $at => $step) {
            if (isset($names[$step->name])) {
                throw Refusal::at("steps.{$at}.name", 'Another step has this name.');
            }
            $names[$step->name] = true;
            $stages[$step->stage] = true;
        }
        for ($stage = 1; $stage <= count($stages); $stage++) {
            isset($stages[$stage]) || throw Refusal::at('steps', "No step is in stage {$stage}.");
        }
    }

    /** One person signs: the path of every order until another is chosen for it. */
    public static function oneSigner(): self
    {
        return new self([new PathStep('Sign', 1, [self::SIGNER], 1)]);
    }
}
