<?php

declare(strict_types=1);

use App\People\Ability;
use App\People\Role;

// Who may do what. Everybody who may sign in may read.
return [
    Role::Coordinator->value => [
        Ability::WatchCritical,         Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest, Ability::AssessRequest, Ability::DecideRequest, Ability::RaiseOrder, Ability::PlanOrder,
        Ability::SubmitOrder, Ability::ReturnOrder, Ability::ReleaseOrder, Ability::SendHandover, Ability::CloseOrder,
        Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::ImportData, Ability::AddItem, Ability::AttachFile,
    ],
    Role::DesignEngineer->value => [Ability::WatchCritical, Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest, Ability::ReviseStructure, Ability::SubmitOrder, Ability::AddItem, Ability::AttachFile],
    Role::ElectronicsEngineer->value => [Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest, Ability::ReviseStructure, Ability::SubmitOrder, Ability::AddItem, Ability::AttachFile],
    Role::ManufacturingEngineer->value => [Ability::WatchCritical, Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest, Ability::ReviseStructure, Ability::SubmitOrder, Ability::AddItem, Ability::AttachFile],
    Role::Planner->value => [Ability::WatchCritical, Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest, Ability::SendHandover],
    Role::Buyer->value => [Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest, Ability::AttachFile],
    Role::Quality->value => [Ability::WatchCritical, Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::AttachFile, Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest, Ability::SignOrder, Ability::ReturnOrder],
    Role::Service->value => [Ability::WatchCritical, Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest],
    Role::BoardMember->value => [Ability::DecideRequest, Ability::WatchCritical, Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest, Ability::SignOrder, Ability::ReturnOrder],
    Role::Administrator->value => [Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn, Ability::ReportProblem, Ability::AnswerQuestion, Ability::RaiseRequest, Ability::ImportData, Ability::SetUp],
    Role::Viewer->value => [Ability::CompareFile, Ability::KeepPage, Ability::AskCutIn],
];
