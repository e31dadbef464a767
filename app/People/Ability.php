<?php

declare(strict_types=1);

namespace App\People;

/** What a role may allow. The roles that have each are a setting: config/abilities.php. */
enum Ability: string
{
    case ReportProblem = 'report_problem';
    case WatchCritical = 'watch_critical';
    case RaiseRequest = 'raise_request';
    case AnswerQuestion = 'answer_question';
    case AssessRequest = 'assess_request';
    case DecideRequest = 'decide_request';
    case RaiseOrder = 'raise_order';
    case PlanOrder = 'plan_order';
    case ReviseStructure = 'revise_structure';
    /** Under an order for which they revise or plan, or as the proposal of a request. */
    case EditLines = 'edit_lines';
    case SubmitOrder = 'submit_order';
    case SignOrder = 'sign_order';
    case ReturnOrder = 'return_order';
    case ReleaseOrder = 'release_order';
    /** Let a check of an order go, with a reason. */
    case WaiveCheck = 'waive_check';
    case SendHandover = 'send_handover';
    case CloseOrder = 'close_order';
    case AddItem = 'add_item';
    case AttachFile = 'attach_file';
    case AskCutIn = 'ask_cut_in';
    /** Say when they are away, and who stands in. */
    case BeAway = 'be_away';
    case KeepPage = 'keep_page';
    case BeTold = 'be_told';
    case Discuss = 'discuss';
    case CompareFile = 'compare_file';
    case ImportData = 'import_data';
    case DoTask = 'do_task';
    /** Make tasks, plan them, and take them from who has them. */
    case ManageTasks = 'manage_tasks';
    case SetUp = 'set_up';

    /** What a route asks of whoever comes by it. */
    public function gate(): string
    {
        return "can:{$this->value}";
    }
}
