<?php

declare(strict_types=1);

namespace App\People;

/** What a role may allow. */
enum Ability: string
{
    /** Not of any plant or category: a role that is limited to some cannot allow it. */
    public const EVERYWHERE = [self::ImportData, self::SetUp, self::ManagePeople, self::ReadLedger, self::ConnectSystems];

    case ReportProblem = 'report_problem';
    case WatchCritical = 'watch_critical';
    case RaiseRequest = 'raise_request';
    case AnswerQuestion = 'answer_question';
    case AssessRequest = 'assess_request';
    case DecideRequest = 'decide_request';
    /** On an approval path that asks them. */
    case JudgeRequest = 'judge_request';
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
    /** Decide what is done about documents in planning that name what an order replaced. */
    case SeeToDocuments = 'see_to_documents';
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
    /** People, their roles, what those may do, and what one person may not do on one change. */
    case ManagePeople = 'manage_people';
    /** All of it: what was done on one change, everybody reads there. */
    case ReadLedger = 'read_ledger';
    /** Say which other systems are told of changes, and what of hand-overs they get. */
    case ConnectSystems = 'connect_systems';

    /** As people read it: what they may do. */
    public function label(): string
    {
        return match ($this) {
            self::ReportProblem => 'Report problems',
            self::WatchCritical => 'See critical reports on the Desk',
            self::RaiseRequest => 'Raise requests',
            self::AnswerQuestion => 'Answer questions',
            self::AssessRequest => 'Assess reports and requests',
            self::DecideRequest => 'Decide on requests',
            self::JudgeRequest => 'Sign requests on approval paths',
            self::RaiseOrder => 'Raise orders',
            self::PlanOrder => 'Plan orders: items, people, day, hold, withdraw',
            self::ReviseStructure => 'Be the editor of an order, or of a part of it',
            self::EditLines => 'Edit lines, routings and data on an order',
            self::SubmitOrder => 'Send orders to review',
            self::SignOrder => 'Sign orders',
            self::ReturnOrder => 'Send orders back from review',
            self::ReleaseOrder => 'Release orders and send change notices',
            self::WaiveCheck => 'Waive checks',
            self::SendHandover => 'Send hand-overs to planning',
            self::CloseOrder => 'Close orders',
            self::SeeToDocuments => 'See to open documents after release',
            self::AddItem => 'Create items',
            self::AttachFile => 'Attach files and references',
            self::AskCutIn => 'Plan cut-ins',
            self::BeAway => 'Enter absences',
            self::KeepPage => 'Keep favourites, views and table layouts',
            self::BeTold => 'Get notices, watch, acknowledge',
            self::Discuss => 'Take part in discussions',
            self::CompareFile => 'Compare with a file',
            self::ImportData => 'Import items and structures',
            self::DoTask => 'Claim and do tasks',
            self::ManageTasks => 'Create and plan tasks',
            self::SetUp => 'Set up paths, categories, plants, forms, lists',
            self::ManagePeople => 'Manage people, roles and rights',
            self::ReadLedger => 'Search and export the ledger',
            self::ConnectSystems => 'Set up webhooks and hand-over profiles',
        };
    }

    /** Under which it is listed. */
    public function area(): string
    {
        return match ($this) {
            self::ReportProblem,
            self::RaiseRequest,
            self::AnswerQuestion,
            self::AssessRequest,
            self::DecideRequest,
            self::JudgeRequest,
            self::AskCutIn
                => 'Problems and requests',
            self::RaiseOrder, self::PlanOrder, self::ReviseStructure, self::EditLines, self::SubmitOrder => 'Orders',
            self::SignOrder,
            self::ReturnOrder,
            self::WaiveCheck,
            self::ReleaseOrder,
            self::SendHandover,
            self::CloseOrder,
            self::SeeToDocuments
                => 'Review and release',
            self::AddItem, self::AttachFile, self::ImportData, self::CompareFile => 'Items and files',
            self::DoTask,
            self::ManageTasks,
            self::Discuss,
            self::BeTold,
            self::WatchCritical,
            self::BeAway,
            self::KeepPage
                => 'Working together',
            self::SetUp, self::ManagePeople, self::ReadLedger, self::ConnectSystems => 'Administration',
        };
    }

    /** What a route asks of whoever comes by it; of the change or item with the number in its address, where there is one. */
    public function gate(): string
    {
        return "can:{$this->value},number";
    }
}
