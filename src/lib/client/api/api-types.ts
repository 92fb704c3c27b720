// Made from the API's description by npm run docs.
export interface paths {
    "/api/v1/acknowledgements": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List acknowledgements */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    page?: number;
                    size?: number;
                    stage?: string;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["AcknowledgementChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of acknowledgements */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["AcknowledgementInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["AcknowledgementChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["AcknowledgementChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/acknowledgements/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of acknowledgements */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["AcknowledgementChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/acknowledgements/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["AcknowledgementChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/attachments": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List attachments */
        get: {
            parameters: {
                query?: {
                    page?: number;
                    size?: number;
                    subjectId?: string;
                    subjectKind?: string;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: components["schemas"]["Recorded"][];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/attachments/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of attachments */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["AttachmentChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/attachments/{id}/content": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** The bytes of a photo or file, or its small picture (size=small) */
        get: {
            parameters: {
                query?: {
                    size?: string;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "image/webp": string;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/attachments/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/balance-cells": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List balance-cells */
        get: {
            parameters: {
                query?: {
                    balanceRunId?: number;
                    cellId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["BalanceCellChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of balance-cells */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BalanceCellInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BalanceCellChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/balance-cells/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of balance-cells */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BalanceCellChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/balance-cells/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BalanceCellChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/balance-leads/judge": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** How the balance leads of a battery most probably sit, and the reading that decides */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BalanceLeadsRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["LeadsAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/balance-readings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List balance-readings */
        get: {
            parameters: {
                query?: {
                    balanceRunId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["BalanceReadingChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of balance-readings */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BalanceReadingInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BalanceReadingChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BalanceReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/balance-readings/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of balance-readings */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BalanceReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BalanceReadingChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BalanceReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/balance-readings/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BalanceReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/balance-runs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List balance-runs */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["NewBalanceRunChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of balance-runs */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["NewBalanceRunInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NewBalanceRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/balance-runs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of balance-runs */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NewBalanceRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BalanceRunChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NewBalanceRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/balance-runs/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NewBalanceRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List banks */
        get: {
            parameters: {
                query?: {
                    bankUse?: string;
                    chemistry?: string;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["BankChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of banks */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BankInput"] & {
                        /** @description New; with its `id` and `version`, changed */
                        cellType?: components["schemas"]["CellTypeInput"];
                    };
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BankChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of banks */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BankChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": (components["schemas"]["BankChange"] & {
                        /** @description New; with its `id` and `version`, changed */
                        cellType?: components["schemas"]["CellTypeInput"];
                    }) & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BankChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/banks/{id}/calendar.ics": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** The steps of the build as a calendar file */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "text/calendar": string;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/candidates": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Pick cells of the stock for a bank */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PickCellsInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/exchange": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Exchange one cell; every other stays in its place */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ExchangeInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/export": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** The whole record of a bank, a line a record */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/x-ndjson": string;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/match": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Accept groups: records placements */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["MatchGroupsInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/measure": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Read a cell with a meter of the address book */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["MeasureInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/read-battery": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Read a balance lead, a group or all groups of a battery now; nothing is stored */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ReadBatteryInput"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["BatteryReading"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/rehearsal": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Where a rehearsal stands */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/rehearsal/hands": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Wiring, probes, pace of time */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["HandsInput"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/rehearsal/probe": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What the voltmeter shows now */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Probed"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/rehearsal/reveal": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** End the rehearsal and show the truth */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ConclusionsInput"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BankChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/tables/{table}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
                table: string;
            };
            cookie?: never;
        };
        /** One table of a bank as CSV */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                    table: string;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "text/csv": string;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/test-queue.ics": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** What of the test queue needs a person, as a calendar file */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "text/calendar": string;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/verdicts": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** What a bank is judged to need, as Home, the rail and the pages show it */
        get: {
            parameters: {
                query?: {
                    stage?: "plan" | "receive" | "test" | "match" | "balance" | "build" | "limits" | "prove" | "serve";
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            beingJudged: boolean;
                            items: components["schemas"]["Verdict"][];
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/{id}/where-was-i": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** How a bank stands for somebody who comes back to it */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["WhereWasI"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/banks/import": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Build a bank again from its exported file */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": Record<string, never>;
                    "application/x-ndjson": string;
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["BuiltBank"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/batteries": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List batteries */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    kind?: string;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["BatteryChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of batteries */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BatteryInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BatteryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/batteries/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of batteries */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BatteryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BatteryChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BatteryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/batteries/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BatteryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/battery-works": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List battery-works */
        get: {
            parameters: {
                query?: {
                    batteryId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["BatteryWorkChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of battery-works */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BatteryWorkInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BatteryWorkChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BatteryWorkChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/battery-works/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of battery-works */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BatteryWorkChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BatteryWorkChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BatteryWorkChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/battery-works/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BatteryWorkChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/bms-comparisons": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List bms-comparisons */
        get: {
            parameters: {
                query?: {
                    batteryId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["BmsComparisonChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of bms-comparisons */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BmsComparisonInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BmsComparisonChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BmsComparisonChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/bms-comparisons/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of bms-comparisons */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BmsComparisonChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BmsComparisonChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BmsComparisonChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/bms-comparisons/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["BmsComparisonChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/calibrations": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List calibrations */
        get: {
            parameters: {
                query?: {
                    page?: number;
                    quantity?: string;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["CalibrationChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of calibrations */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CalibrationInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CalibrationChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CalibrationChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/calibrations/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of calibrations */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CalibrationChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CalibrationChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CalibrationChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/calibrations/{id}/changes": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** What a calibration has changed in the verdicts of all banks */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/calibrations/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CalibrationChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/candidates": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List candidates */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    cellId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["CandidateChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of candidates */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CandidateInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CandidateChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/candidates/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of candidates */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CandidateChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CandidateChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CandidateChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/candidates/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CandidateChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/capacity-judgement": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** All results of a cell against its rating */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CapacityJudgementRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["CapacityAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/capacity-run/analyse": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Charge, energy and faults of a capacity-run log */
        post: {
            parameters: {
                query?: {
                    bridgeGaps?: boolean;
                    chemistry?: string;
                    cutoffV?: number;
                    ratedAh?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "text/csv": string;
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["RunAnalysis"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/capacity-tests": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List capacity-tests */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    battery?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["CapacityTestChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of capacity-tests */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CapacityTestInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CapacityTestChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CapacityTestChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/capacity-tests/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of capacity-tests */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CapacityTestChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CapacityTestChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CapacityTestChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/capacity-tests/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CapacityTestChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cell-code": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What a cell’s 24-character code claims */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CellCodeRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["CellCodeAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cell-types": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List cell-types */
        get: {
            parameters: {
                query?: {
                    chemistry?: string;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["CellTypeChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of cell-types */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CellTypeInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CellTypeChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cell-types/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of cell-types */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CellTypeChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CellTypeChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CellTypeChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/cell-types/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CellTypeChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cells": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List cells */
        get: {
            parameters: {
                query?: {
                    batch?: string;
                    deliveryId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["CellChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of cells */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CellInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CellChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cells/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of cells */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CellChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CellChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CellChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/cells/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["CellChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/cells/{id}/runs": {
        parameters: {
            query?: {
                bridgeGaps?: boolean;
                fileName?: string;
                temperatureC?: number;
                testedAt?: string;
                tester?: string;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Store a capacity-run log for a cell */
        post: {
            parameters: {
                query?: {
                    bridgeGaps?: boolean;
                    fileName?: string;
                    temperatureC?: number;
                    testedAt?: string;
                    tester?: string;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "text/csv": string;
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/charge-counts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List charge-counts */
        get: {
            parameters: {
                query?: {
                    batteryId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["ChargeCountChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of charge-counts */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ChargeCountInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ChargeCountChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ChargeCountChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/charge-counts/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of charge-counts */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ChargeCountChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ChargeCountChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ChargeCountChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/charge-counts/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ChargeCountChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/clauses": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List clauses */
        get: {
            parameters: {
                query?: {
                    cellTypeId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["ClauseChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of clauses */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ClauseInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ClauseChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/clauses/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of clauses */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ClauseChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ClauseChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ClauseChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/clauses/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ClauseChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/deliveries": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List deliveries */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["NewDeliveryChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of deliveries */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["NewDeliveryInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NewDeliveryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/deliveries/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of deliveries */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NewDeliveryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["DeliveryChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NewDeliveryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/deliveries/{id}/report": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** What a delivery comes to: cell by cell, what is claimed and what is not */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/deliveries/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NewDeliveryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/due": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Moments at which something that nobody follows by wire wants a person */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/fade": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Capacity fade with its band and end of life */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["FadeRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/files": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Keep a photo or file of something: turned upright, made smaller, without where it was taken */
        post: {
            parameters: {
                query?: {
                    about?: string;
                    name?: string;
                    subjectId?: string;
                    subjectKind?: string;
                    takenAt?: string;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/pdf": string;
                    "image/jpeg": string;
                    "image/png": string;
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/forecast": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What a string of groups gives, balanced so or so, and who ends it */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ForecastRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["ForecastAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/groups": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List groups */
        get: {
            parameters: {
                query?: {
                    batteryId?: number;
                    page?: number;
                    position?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: components["schemas"]["Recorded"][];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/groups/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of groups */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/health": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Whether the server and its database are well */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/inspections": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List inspections */
        get: {
            parameters: {
                query?: {
                    cellId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["InspectionChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of inspections */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["InspectionInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["InspectionChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["InspectionChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/inspections/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of inspections */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["InspectionChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["InspectionChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["InspectionChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/inspections/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["InspectionChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/instruments": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List instruments */
        get: {
            parameters: {
                query?: {
                    kind?: string;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["InstrumentChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of instruments */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["InstrumentInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["InstrumentChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/instruments/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of instruments */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["InstrumentChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["InstrumentChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["InstrumentChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/instruments/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["InstrumentChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/instruments/{id}/try": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Connect, identify, take one reading */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Tried"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/is-balanced": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Whether a bank is balanced, if the readings can tell */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BalanceQuestionInput"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["BalanceAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/join-check": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Whether cells or whole batteries may be joined in parallel, in which order, and what moves */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["JoinRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["JoinAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/joint-torques": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List joint-torques */
        get: {
            parameters: {
                query?: {
                    batteryId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["JointTorqueChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of joint-torques */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["JointTorqueInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["JointTorqueChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["JointTorqueChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/joint-torques/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of joint-torques */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["JointTorqueChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["JointTorqueChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["JointTorqueChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/joint-torques/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["JointTorqueChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/joints": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Resistance and heat of each group’s joint beyond its like, from readings at rest and under load */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["JointsRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["JointsAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/lead-readings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List lead-readings */
        get: {
            parameters: {
                query?: {
                    batteryId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["LeadReadingChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of lead-readings */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LeadReadingInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LeadReadingChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LeadReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/lead-readings/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of lead-readings */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LeadReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LeadReadingChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LeadReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/lead-readings/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LeadReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/left-joined": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** How much of what parts them cells lose by standing joined without a charge */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LeftJoinedRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["LeftJoinedAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/limit-plans": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List limit-plans */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["LimitPlanChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of limit-plans */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LimitPlanInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LimitPlanChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/limit-plans/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of limit-plans */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LimitPlanChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LimitPlanChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LimitPlanChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/limit-plans/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LimitPlanChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/limits": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** BMS, charger and load limits with reasons */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LimitsRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-events": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List live-events */
        get: {
            parameters: {
                query?: {
                    kind?: string;
                    liveRunId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: components["schemas"]["Recorded"][];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-events/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of live-events */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-events/{id}/seen": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A person has seen this event */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-runs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List live runs */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    state?: string;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Plan a live run; nothing is switched */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LiveRunInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["PlannedLiveRun"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-runs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** A live run and the values to confirm */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-runs/{id}/begin": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Switch on and follow; the values must be confirmed word for word */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LiveConfirmInput"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["LiveView"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-runs/{id}/check": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Keep what the groups last read as a check; read full, with the Ah counted between their passings */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["WatchedCheckInput"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-runs/{id}/pause": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Outputs off until somebody lets it go on */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["LiveView"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-runs/{id}/samples": {
        parameters: {
            query?: {
                afterMs?: number;
            };
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Stored samples */
        get: {
            parameters: {
                query?: {
                    afterMs?: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["LiveSamples"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-runs/{id}/stop": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Outputs off, end the run */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["LiveView"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/live-runs/stream": {
        parameters: {
            query?: {
                samples?: number;
            };
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Views of every live run, and samples of one, as they come (server-sent events) */
        get: {
            parameters: {
                query?: {
                    samples?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "text/event-stream": string;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/load-readings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List load-readings */
        get: {
            parameters: {
                query?: {
                    batteryId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["LoadReadingChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of load-readings */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LoadReadingInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LoadReadingChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LoadReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/load-readings/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of load-readings */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LoadReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LoadReadingChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LoadReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/load-readings/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["LoadReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/match": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Choose cells and groups */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["MatchInput"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/method-entries": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List method-entries */
        get: {
            parameters: {
                query?: {
                    methodRunId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["MethodEntryChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of method-entries */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["MethodEntryInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodEntryChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodEntryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/method-entries/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of method-entries */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodEntryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["MethodEntryChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodEntryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/method-entries/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodEntryChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/method-runs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List method-runs */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["MethodRunChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of method-runs */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["MethodRunInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodRunChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/method-runs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of method-runs */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["MethodRunChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/method-runs/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["MethodRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/modules": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List modules */
        get: {
            parameters: {
                query?: {
                    deliveryId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["ModuleChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of modules */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ModuleInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ModuleChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ModuleChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/modules/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of modules */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ModuleChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ModuleChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ModuleChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/modules/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ModuleChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/noted-runs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List noted-runs */
        get: {
            parameters: {
                query?: {
                    cellId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["NotedRunChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of noted-runs */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["NotedRunInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NotedRunChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NotedRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/noted-runs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of noted-runs */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NotedRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["NotedRunChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NotedRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/noted-runs/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NotedRunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/notes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List notes */
        get: {
            parameters: {
                query?: {
                    cellId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["NoteChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of notes */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["NoteInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NoteChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NoteChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/notes/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of notes */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NoteChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["NoteChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NoteChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/notes/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["NoteChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/openapi.json": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** This document */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/orders": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List orders */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["OrderChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of orders */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["OrderInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["OrderChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/orders/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of orders */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["OrderChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["OrderChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["OrderChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/orders/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["OrderChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/placements": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List placements */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    battery?: number;
                    cellId?: number;
                    groupId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["PlacementChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of placements */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PlacementInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlacementChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/placements/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of placements */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlacementChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PlacementChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlacementChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/placements/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlacementChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan-items": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List plan-items */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["PlanItemChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of plan-items */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PlanItemInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlanItemChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlanItemChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan-items/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of plan-items */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlanItemChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PlanItemChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlanItemChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/plan-items/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlanItemChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/box": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** How the cells of a battery can stand in a box */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["BoxFitRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/calendar": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** The days of a build, from the order to the proved battery */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["CalendarRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/charging": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What each charger does for a bank, and what stands against it */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ChargingRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/first-charge": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Days of the parallel top balance, and what would save most */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["FirstChargeRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/hardware": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Bars, studs, rings for the fixture and the build, and what the kit lacks */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["HardwareRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/label-check": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A label’s Wh, Ah and V against each other and against the chemistries */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LabelRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["LabelAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/layouts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Layouts of the cells that give what is wanted, and why others cannot be */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LayoutsRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/lift": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Who lifts it, and how */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LiftRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/loads": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Energy, power and amperes of what is to run */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["LoadsRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/parts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** BMS, fuse, shunt and contactor, each as small as it may be */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PartsRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plan/year": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A year of use drawn many times: how often it is empty, what is missing, how it ages */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["YearRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["YearAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plans": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List plans */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["PlanChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of plans */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PlanInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlanChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/plans/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of plans */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlanChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PlanChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlanChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/plans/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PlanChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/price-snapshots": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List price-snapshots */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["PriceSnapshotChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of price-snapshots */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PriceSnapshotInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PriceSnapshotChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PriceSnapshotChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/price-snapshots/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of price-snapshots */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PriceSnapshotChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["PriceSnapshotChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PriceSnapshotChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/price-snapshots/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["PriceSnapshotChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/protocols": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List protocols */
        get: {
            parameters: {
                query?: {
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["ProtocolChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of protocols */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ProtocolInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ProtocolChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ProtocolChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/protocols/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of protocols */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ProtocolChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ProtocolChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ProtocolChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/protocols/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ProtocolChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/readings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List readings */
        get: {
            parameters: {
                query?: {
                    cellId?: number;
                    page?: number;
                    quantity?: string;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["ReadingChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of readings */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ReadingInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ReadingChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/readings/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of readings */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ReadingChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/readings/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ReadingChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/rehearsals": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Scenarios that can be rehearsed */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Start a rehearsal on the simulated bench */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["RehearsalInput"];
                };
            };
            responses: {
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/runs": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List runs */
        get: {
            parameters: {
                query?: {
                    cellId?: number;
                    page?: number;
                    size?: number;
                    source?: string;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["RunChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of runs */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["RunInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["RunChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["RunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/runs/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of runs */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["RunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["RunChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["RunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/runs/{id}/curve": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** A run’s curve, thinned for drawing */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Curve"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/runs/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["RunChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/runs/{id}/samples.csv": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** A run as CSV, units in its header */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "text/csv": string;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/runs/fit-notes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What a discharge known by a few lines will give, when it ends and when to look again */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["FitNotesRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["NotesAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/self-discharge": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** How much charge a cell loses by itself, by rest voltages apart in time or by a refill */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["SelfDischargeRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["SelfDischargeAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/service-checks": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List service-checks */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    battery?: number;
                    context?: string;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["ServiceCheckChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of service-checks */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ServiceCheckInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ServiceCheckChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ServiceCheckChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/service-checks/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of service-checks */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ServiceCheckChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["ServiceCheckChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ServiceCheckChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/service-checks/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["ServiceCheckChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/settings": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Settings */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        /** Change settings */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["SettingsInput"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/simulate": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Run the model of cells, groups and batteries; refused with 422 and the reason */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["SimulationRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/soc-bounds": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** State-of-charge bounds a rest voltage fits */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["SocBoundsInput"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/stock": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** Every cell of one’s own, where it is or was */
        get: {
            parameters: {
                query?: {
                    page?: number;
                    place?: string;
                    q?: string;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": Record<string, never>;
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/storage-tests": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List storage-tests */
        get: {
            parameters: {
                query?: {
                    cellId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["StorageTestChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of storage-tests */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["StorageTestInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["StorageTestChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["StorageTestChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/storage-tests/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of storage-tests */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["StorageTestChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["StorageTestChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["StorageTestChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/storage-tests/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["StorageTestChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/temporary-parts": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List temporary-parts */
        get: {
            parameters: {
                query?: {
                    batteryId?: number;
                    page?: number;
                    size?: number;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: (components["schemas"]["Recorded"] & components["schemas"]["TemporaryPartChange"])[];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        /** Create one of temporary-parts */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["TemporaryPartInput"];
                };
            };
            responses: {
                /** @description It had been stored before, by a request with this `clientKey` */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["TemporaryPartChange"];
                    };
                };
                /** @description OK */
                201: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["TemporaryPartChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/temporary-parts/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of temporary-parts */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["TemporaryPartChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        /** Soft delete */
        delete: {
            parameters: {
                query: {
                    version: number;
                };
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description Done */
                204: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content?: never;
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        options?: never;
        head?: never;
        /** Change; refused with 409 when `version` is stale */
        patch: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["TemporaryPartChange"] & {
                        version: number;
                    };
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["TemporaryPartChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        trace?: never;
    };
    "/api/v1/temporary-parts/{id}/restore": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Undo a soft delete */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"] & components["schemas"]["TemporaryPartChange"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/test-queue": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** A timetable for testing cells one by one, its bound, and what would shorten it */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["TestQueueRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["QueueAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/testers/estimate": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** Capacities of cells and gains of testers, estimated together */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["TestersRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["TestersAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/verdict-changes": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        /** List verdict-changes */
        get: {
            parameters: {
                query?: {
                    bankId?: number;
                    code?: string;
                    page?: number;
                    size?: number;
                    stage?: string;
                    subjectId?: string;
                    subjectKind?: string;
                };
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": {
                            items: components["schemas"]["Recorded"][];
                            page: number;
                            size: number;
                            total: number;
                        };
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/verdict-changes/{id}": {
        parameters: {
            query?: never;
            header?: never;
            path: {
                id: number;
            };
            cookie?: never;
        };
        /** Read one of verdict-changes */
        get: {
            parameters: {
                query?: never;
                header?: never;
                path: {
                    id: number;
                };
                cookie?: never;
            };
            requestBody?: never;
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["Recorded"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        put?: never;
        post?: never;
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
    "/api/v1/witnesses": {
        parameters: {
            query?: never;
            header?: never;
            path?: never;
            cookie?: never;
        };
        get?: never;
        put?: never;
        /** What all that measured one charge say together, and the odd one */
        post: {
            parameters: {
                query?: never;
                header?: never;
                path?: never;
                cookie?: never;
            };
            requestBody: {
                content: {
                    "application/json": components["schemas"]["WitnessesRequest"];
                };
            };
            responses: {
                /** @description OK */
                200: {
                    headers: {
                        [name: string]: unknown;
                    };
                    content: {
                        "application/json": components["schemas"]["WitnessesAnswer"];
                    };
                };
                400: components["responses"]["400"];
                404: components["responses"]["404"];
                405: components["responses"]["405"];
                408: components["responses"]["408"];
                409: components["responses"]["409"];
                413: components["responses"]["413"];
                415: components["responses"]["415"];
                422: components["responses"]["422"];
                503: components["responses"]["503"];
            };
        };
        delete?: never;
        options?: never;
        head?: never;
        patch?: never;
        trace?: never;
    };
}
export type webhooks = Record<string, never>;
export interface components {
    schemas: {
        AcknowledgementChange: {
            bankId?: number;
            clientKey?: string | null;
            code?: string;
            reason?: string;
            /** @enum {string} */
            stage?: "plan" | "receive" | "test" | "match" | "balance" | "build" | "limits" | "prove" | "serve";
            subjectId?: string | number;
            /** @enum {string} */
            subjectKind?: "bank" | "battery" | "group" | "cell" | "delivery" | "module" | "run" | "balance" | "method" | "joint" | "lead" | "instrument";
        };
        AcknowledgementInput: {
            bankId: number;
            clientKey?: string | null;
            code: string;
            reason: string;
            /** @enum {string} */
            stage: "plan" | "receive" | "test" | "match" | "balance" | "build" | "limits" | "prove" | "serve";
            subjectId: string | number;
            /** @enum {string} */
            subjectKind: "bank" | "battery" | "group" | "cell" | "delivery" | "module" | "run" | "balance" | "method" | "joint" | "lead" | "instrument";
        };
        AttachmentChange: {
            about?: string | null;
            name?: string;
        };
        AttachmentInput: {
            about?: string | null;
            name: string;
            subjectId: string | number;
            /** @enum {string} */
            subjectKind: "bank" | "battery" | "group" | "cell" | "delivery" | "module" | "run" | "balance" | "method" | "joint" | "lead" | "instrument";
            takenAt?: string | null;
        };
        BalanceAnswer: {
            /** @enum {string} */
            answer: "balanced" | "apart" | "cannot-tell";
            apartAh: components["schemas"]["Interval"] | null;
            verdict: components["schemas"]["Verdict"];
        };
        BalanceCellChange: {
            balanceRunId?: number;
            cellId?: number;
        };
        BalanceCellInput: {
            balanceRunId: number;
            cellId: number;
        };
        BalanceLeadsRequest: {
            cellsV?: number[] | null;
            cellV?: components["schemas"]["CellRangeInput"] | null;
            meterSdV?: number | null;
            positiveV?: (number | null)[] | null;
            readingsV: (number | null)[];
            series: number;
        };
        BalanceQuestionInput: {
            bankId?: number | null;
            cellsPerReading?: number | null;
            chemistry?: ("LFP" | "LTO" | "NMC") | null;
            currentA: number;
            groupAh?: number | null;
            groupVoltagesV: number[];
            meterSdV?: number | null;
            passings?: {
                endAh: number;
                groups: ({
                    ah: number;
                    sdAh: number;
                } | null)[];
                voltageV: number;
            } | null;
        };
        BalanceReadingChange: {
            balanceRunId?: number;
            cellV?: number | null;
            clientKey?: string | null;
            counterAnew?: boolean | null;
            deliveredAh?: number | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            readAt?: string;
            readDoubtS?: number | null;
            stopped?: boolean | null;
            supplyA?: number;
            supplyV?: number | null;
        };
        BalanceReadingInput: {
            balanceRunId: number;
            cellV?: number | null;
            clientKey?: string | null;
            counterAnew?: boolean | null;
            deliveredAh?: number | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            readAt: string;
            readDoubtS?: number | null;
            stopped?: boolean | null;
            supplyA: number;
            supplyV?: number | null;
        };
        BalancerInput: {
            chargingOnly?: boolean | null;
            currentA?: number | null;
            efficiency?: number | null;
            kind?: ("passive" | "active") | null;
            startV?: number | null;
            triggerV?: number | null;
        };
        BalanceRunChange: {
            bankId?: number;
            checklist?: {
                [key: string]: boolean;
            } | null;
            endedAt?: string | null;
            hoursADay?: number | null;
            leadOhm?: number;
            setV?: number | null;
            setVReason?: string | null;
            startedAt?: string | null;
            supplyA?: number;
        };
        BalanceRunInput: {
            bankId: number;
            checklist?: {
                [key: string]: boolean;
            } | null;
            endedAt?: string | null;
            hoursADay?: number | null;
            leadOhm: number;
            setV?: number | null;
            setVReason?: string | null;
            startedAt?: string | null;
            supplyA: number;
        };
        BankChange: {
            /** @enum {string} */
            bankUse?: "cabin" | "van" | "motorhome" | "boat" | "other";
            /** @default 1 */
            batteries?: number;
            cellTypeId?: number | null;
            /** @enum {string} */
            chemistry?: "LFP" | "LTO" | "NMC";
            /** @default 0.8 */
            endFraction?: number;
            inServiceOn?: string | null;
            name?: string;
            notes?: string | null;
            parallel?: number;
            series?: number;
        };
        BankInput: {
            /** @enum {string} */
            bankUse: "cabin" | "van" | "motorhome" | "boat" | "other";
            /** @default 1 */
            batteries?: number;
            cellTypeId?: number | null;
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            /** @default 0.8 */
            endFraction?: number;
            inServiceOn?: string | null;
            name: string;
            notes?: string | null;
            parallel: number;
            series: number;
        };
        BatteryChange: {
            bankId?: number;
            bmsA?: number | null;
            bmsChargeA?: number | null;
            bmsDischargeA?: number | null;
            bmsHighV?: number | null;
            bmsLeastCells?: number | null;
            bmsLowV?: number | null;
            bmsMostCells?: number | null;
            bmsResolutionV?: number | null;
            builtDespite?: string | null;
            cableA?: number | null;
            fuseA?: number | null;
            /**
             * @default parallel
             * @enum {string}
             */
            joins?: "parallel" | "series";
            /**
             * @default built
             * @enum {string}
             */
            kind?: "built" | "ready-made";
            maker?: string | null;
            mostInSeries?: number | null;
            name?: string | null;
            newOn?: string | null;
            nominalV?: number | null;
            number?: number | null;
            outputsAt?: ("front-left" | "front-right" | "back-left" | "back-right") | null;
            parallel?: number | null;
            ratedAh?: number | null;
            ratedWh?: number | null;
            rows?: number | null;
            series?: number | null;
            squareBlocks?: boolean | null;
            standbyA?: number | null;
        };
        BatteryInput: {
            bankId: number;
            bmsA?: number | null;
            bmsChargeA?: number | null;
            bmsDischargeA?: number | null;
            bmsHighV?: number | null;
            bmsLeastCells?: number | null;
            bmsLowV?: number | null;
            bmsMostCells?: number | null;
            bmsResolutionV?: number | null;
            builtDespite?: string | null;
            cableA?: number | null;
            fuseA?: number | null;
            /**
             * @default parallel
             * @enum {string}
             */
            joins?: "parallel" | "series";
            /**
             * @default built
             * @enum {string}
             */
            kind?: "built" | "ready-made";
            maker?: string | null;
            mostInSeries?: number | null;
            name?: string | null;
            newOn?: string | null;
            nominalV?: number | null;
            number?: number | null;
            outputsAt?: ("front-left" | "front-right" | "back-left" | "back-right") | null;
            parallel?: number | null;
            ratedAh?: number | null;
            ratedWh?: number | null;
            rows?: number | null;
            series?: number | null;
            squareBlocks?: boolean | null;
            standbyA?: number | null;
        };
        BatteryReading: {
            atMs: number;
            currentA: number | null;
            groupsV: number[] | null;
            voltageV: number | null;
        };
        BatteryWorkChange: {
            batteryId?: number;
            clientKey?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            doneAt?: string;
            notes?: string | null;
            positions?: number[] | null;
            /** @enum {string} */
            what?: "lead-moved" | "bms-changed" | "joint-opened";
        };
        BatteryWorkInput: {
            batteryId: number;
            clientKey?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            doneAt: string;
            notes?: string | null;
            positions?: number[] | null;
            /** @enum {string} */
            what: "lead-moved" | "bms-changed" | "joint-opened";
        };
        BlockInput: {
            heightMm: number;
            lengthMm: number;
            widthMm: number;
        };
        BmsComparisonChange: {
            batteryId?: number;
            bmsV?: (number | null)[];
            clientKey?: string | null;
            meter?: string | null;
            meterV?: (number | null)[];
            notes?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            readAt?: string;
        };
        BmsComparisonInput: {
            batteryId: number;
            bmsV: (number | null)[];
            clientKey?: string | null;
            meter?: string | null;
            meterV: (number | null)[];
            notes?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            readAt: string;
        };
        BmsInput: {
            chargeA?: number | null;
            continuousA?: number | null;
            resolutionV?: number | null;
        };
        BmsLimitsInput: {
            cellHighReleaseV?: number | null;
            cellHighV?: number | null;
            cellLowReleaseV?: number | null;
            cellLowV?: number | null;
            chargeColdC?: number | null;
            chargeHotC?: number | null;
            chargeMaxA?: number | null;
            currentDelayS?: number | null;
            dischargeColdC?: number | null;
            dischargeHotC?: number | null;
            dischargeMaxA?: number | null;
            noiseV?: number | null;
            overCurrentReleaseS?: number | null;
            packHighReleaseV?: number | null;
            packHighV?: number | null;
            packLowReleaseV?: number | null;
            packLowV?: number | null;
            temperatureDelayS?: number | null;
            temperatureReleaseK?: number | null;
            voltageDelayS?: number | null;
        };
        BoxFitRequest: {
            box: components["schemas"]["BoxInput"];
            cell: components["schemas"]["CellSizeInput"];
            cells: number;
        };
        BoxInput: {
            /** @default null */
            bms?: components["schemas"]["BlockInput"] | null;
            /** @default null */
            cableMm?: number | null;
            /** @default null */
            endPlateMm?: number | null;
            fuse?: components["schemas"]["BlockInput"] | null;
            heightMm: number;
            /** @default null */
            insulationMm?: number | null;
            lengthMm: number;
            /** @default null */
            lidMm?: number | null;
            widthMm: number;
        };
        BuiltBank: components["schemas"]["Recorded"] & {
            name: string;
        };
        CalendarRequest: {
            /** @default 0 */
            balanceDays?: number;
            cellLeadDays: number;
            cells: number;
            /** @default 4 */
            hoursADay?: number;
            partLeadDays: number;
            ratedAh: number;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            startOn: string;
            /** @default 20 */
            testA?: number;
            /** @default 1 */
            testers?: number;
            wakingH?: number | null;
        };
        CalibrationChange: {
            by?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            calibratedOn?: string;
            clientKey?: string | null;
            meter?: string | null;
            pairs?: components["schemas"]["CalibrationPairInput"][];
            /** @enum {string} */
            quantity?: "restVoltage" | "acResistance" | "temperature" | "mass" | "thickness" | "capacity";
            truthSd?: number;
        };
        CalibrationInput: {
            by?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            calibratedOn: string;
            clientKey?: string | null;
            meter?: string | null;
            pairs: components["schemas"]["CalibrationPairInput"][];
            /** @enum {string} */
            quantity: "restVoltage" | "acResistance" | "temperature" | "mass" | "thickness" | "capacity";
            truthSd: number;
        };
        CalibrationPairInput: {
            shown: number;
            truth: number;
        };
        CandidateChange: {
            bankId?: number;
            cellId?: number;
        };
        CandidateInput: {
            bankId: number;
            cellId: number;
        };
        CapacityAnswer: {
            capacityAh: number;
            /** @enum {string} */
            outcome: "short" | "meets" | "unsure";
            probabilityShort: number;
            sdAh: number;
        };
        CapacityJudgementRequest: {
            ratedAh: number;
            results: components["schemas"]["CellResultInput"][];
            standardCRate?: number | null;
        };
        CapacityTestChange: {
            bankId?: number;
            /** @default 1 */
            battery?: number;
            capacityAh?: number;
            clientKey?: string | null;
            efc?: number | null;
            notes?: string | null;
            sdAh?: number;
            temperatureC?: number | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            testedAt?: string;
            testedDoubtS?: number | null;
        };
        CapacityTestInput: {
            bankId: number;
            /** @default 1 */
            battery?: number;
            capacityAh: number;
            clientKey?: string | null;
            efc?: number | null;
            notes?: string | null;
            sdAh: number;
            temperatureC?: number | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            testedAt: string;
            testedDoubtS?: number | null;
        };
        CellChange: {
            batch?: string | null;
            code?: string | null;
            deliveryId?: number;
            label?: string;
            /** @default false */
            plusTurned?: boolean;
            position?: number;
            printedMonth?: string | null;
        };
        CellChoiceInput: {
            /** @default null */
            chargeCRate?: number | null;
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            /** @default null */
            dischargeCRate?: number | null;
            id: string | number;
            /** @default 0 */
            inStock?: number;
            /** @default null */
            massKg?: number | null;
            name: string;
            /** @default null */
            price?: number | null;
            ratedAh: number;
            /** @default null */
            thicknessMm?: number | null;
            /** @default null */
            widthMm?: number | null;
        };
        CellCodeAnswer: {
            chemistry: string | null;
            fields: {
                chemistryLetter: string;
                day: number | null;
                maker: string;
                model: string;
                month: number | null;
                product: string;
                serial: string;
                trace: string;
                year: number | null;
            } | null;
            productionDate: string | null;
            warnings: {
                code: string;
                message: string;
            }[];
        };
        CellCodeRequest: {
            code: string;
        };
        CellFigures: {
            acResistanceMohm?: number | null;
            chargeColdC?: number | null;
            chargeCRate?: number | null;
            chargeHotC?: number | null;
            chargeLimitV?: number | null;
            dischargeColdC?: number | null;
            dischargeCRate?: number | null;
            dischargeHotC?: number | null;
            dischargeLimitV?: number | null;
            heightMm?: number | null;
            holeDepthMm?: number | null;
            massKg?: number | null;
            ratedAh: number;
            terminal?: string | null;
            thicknessMm?: number | null;
            torqueNm?: number | null;
            widthMm?: number | null;
        };
        CellInput: {
            batch?: string | null;
            code?: string | null;
            deliveryId: number;
            label: string;
            /** @default false */
            plusTurned?: boolean;
            position: number;
            printedMonth?: string | null;
        };
        CellRangeInput: {
            high: number;
            low: number;
        };
        CellResultInput: {
            capacityAh: number;
            cRate?: number | null;
            leadOhm?: number | null;
            sdAh?: number | null;
            temperatureC?: number | null;
            testerId: string | number;
        };
        CellSizeInput: {
            heightMm: number;
            thicknessMm: number;
            widthMm: number;
        };
        CellTypeChange: {
            acResistanceMohm?: number | null;
            chargeColdC?: number | null;
            chargeCRate?: number | null;
            chargeHotC?: number | null;
            chargeLimitV?: number | null;
            /** @enum {string} */
            chemistry?: "LFP" | "LTO" | "NMC";
            dischargeColdC?: number | null;
            dischargeCRate?: number | null;
            dischargeHotC?: number | null;
            dischargeLimitV?: number | null;
            heightMm?: number | null;
            holeDepthMm?: number | null;
            maker?: string | null;
            massKg?: number | null;
            name?: string;
            ratedAh?: number;
            terminal?: string | null;
            thicknessMm?: number | null;
            torqueNm?: number | null;
            widthMm?: number | null;
        };
        CellTypeInput: {
            acResistanceMohm?: number | null;
            chargeColdC?: number | null;
            chargeCRate?: number | null;
            chargeHotC?: number | null;
            chargeLimitV?: number | null;
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            dischargeColdC?: number | null;
            dischargeCRate?: number | null;
            dischargeHotC?: number | null;
            dischargeLimitV?: number | null;
            heightMm?: number | null;
            holeDepthMm?: number | null;
            maker?: string | null;
            massKg?: number | null;
            name: string;
            ratedAh: number;
            terminal?: string | null;
            thicknessMm?: number | null;
            torqueNm?: number | null;
            widthMm?: number | null;
        };
        ChargeCountChange: {
            batteryId?: number;
            chargedAh?: number;
            clientKey?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            countedAt?: string;
            dischargedAh?: number;
            notes?: string | null;
        };
        ChargeCountInput: {
            batteryId: number;
            chargedAh: number;
            clientKey?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            countedAt: string;
            dischargedAh: number;
            notes?: string | null;
        };
        ChargerInput: {
            a: number;
            /** @default null */
            absorbV?: number | null;
            /** @enum {string} */
            kind: "mains" | "solar" | "converter" | "bench" | "alternator";
            /** @default null */
            lithium?: boolean | null;
            mostPanelV?: number | null;
            name: string;
            panelOpenV?: number | null;
            panelWorkV?: number | null;
            startMarginV?: number | null;
        };
        ChargingRequest: {
            absorbV: number;
            bankAh: number;
            chargers: components["schemas"]["ChargerInput"][];
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            /** @default -10 */
            coldestC?: number;
            /** @default 65 */
            hottestC?: number;
            series: number;
        };
        ClauseChange: {
            capacityAh?: number;
            cellTypeId?: number;
            chargeV?: number | null;
            cutoffV?: number | null;
            dischargeCRate?: number | null;
            /** @enum {string} */
            kind?: "minimum" | "nominal" | "typical";
            restH?: number | null;
            source?: string | null;
            tailCRate?: number | null;
            temperatureC?: number | null;
        };
        ClauseInput: {
            capacityAh: number;
            cellTypeId: number;
            chargeV?: number | null;
            cutoffV?: number | null;
            dischargeCRate?: number | null;
            /** @enum {string} */
            kind: "minimum" | "nominal" | "typical";
            restH?: number | null;
            source?: string | null;
            tailCRate?: number | null;
            temperatureC?: number | null;
        };
        ConclusionsInput: {
            conclusions: components["schemas"]["FindingInput"][];
        };
        Curve: {
            curve: {
                dischargedAh: number[];
                voltageV: number[];
            };
        };
        DeliveryChange: {
            bankId?: number | null;
            cellPrice?: number | null;
            claimDays?: number | null;
            gradeCapacityAh?: number | null;
            gradeResistanceMohm?: number | null;
            moduleParallel?: number | null;
            moduleSeries?: number | null;
            name?: string;
            notes?: string | null;
            orderedOn?: string | null;
            promisedAh?: number | null;
            promisedClause?: ("minimum" | "nominal" | "typical") | null;
            promisedGrade?: string | null;
            promisedOn?: string | null;
            promisedProducedOn?: string | null;
            promisedResistanceMohm?: number | null;
            promisedTerminals?: ("thread" | "stud" | "pad") | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            receivedOn?: string;
            shipping?: number | null;
            supplier?: string | null;
            used?: boolean | null;
        };
        DeliveryInput: {
            bankId?: number | null;
            cellPrice?: number | null;
            claimDays?: number | null;
            gradeCapacityAh?: number | null;
            gradeResistanceMohm?: number | null;
            moduleParallel?: number | null;
            moduleSeries?: number | null;
            name: string;
            notes?: string | null;
            orderedOn?: string | null;
            promisedAh?: number | null;
            promisedClause?: ("minimum" | "nominal" | "typical") | null;
            promisedGrade?: string | null;
            promisedOn?: string | null;
            promisedProducedOn?: string | null;
            promisedResistanceMohm?: number | null;
            promisedTerminals?: ("thread" | "stud" | "pad") | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            receivedOn: string;
            shipping?: number | null;
            supplier?: string | null;
            used?: boolean | null;
        };
        ExchangeInput: {
            at?: string | null;
            despite?: string | null;
            intoCellId?: number | null;
            outCellId: number;
        };
        FadeObservationInput: {
            ageYears: number;
            capacityAh: number;
            efc?: number | null;
            sdAh: number;
            temperatureC?: number | null;
        };
        FadeRequest: {
            efcPerYear?: number | null;
            endFraction: number;
            exchangedAt?: unknown[] | null;
            observations: components["schemas"]["FadeObservationInput"][];
            ratedAh: number;
        };
        FindingInput: {
            /** @enum {string} */
            kind: "weak-cell" | "high-resistance" | "leaking-cell" | "wrong-print" | "loose-bar" | "swapped-leads" | "open-lead" | "biased-tester" | "supply-display" | "bms-reading";
            where?: string | null;
        };
        FirstChargeRequest: {
            arrivalSoc?: number | null;
            barsForCells?: number | null;
            cells: number;
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            ratedAh: number;
            series?: number | null;
            seriesA?: number | null;
            supplies: components["schemas"]["SupplyInput"][];
        };
        FitNotesRequest: {
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            cutoffV: number;
            load: components["schemas"]["NotedLoad"];
            notes: components["schemas"]["SpotNoteInput"][];
            ratedAh: number;
        };
        ForecastAnswer: {
            endsCharge: number;
            endsDischarge: number;
            leftAh: number[];
            usable: components["schemas"]["Interval"];
            usableAh: number;
        };
        ForecastCellInput: {
            capacityAh: number;
            capacitySdAh?: number | null;
            id: string | number;
            soc?: number | null;
            socSd?: number | null;
        };
        ForecastRequest: {
            balance: ("none" | "top" | "bottom") | {
                activeA: number;
                hours: number;
            };
            cells: components["schemas"]["ForecastCellInput"][];
            groups: (string | number)[][];
            temperatureC?: number | null;
        };
        GeneratorInput: {
            startSoc: number;
            stopSoc: number;
            w: number;
        };
        HandsInput: {
            chargeA?: number | null;
            exchangeLeads?: number[] | null;
            loadA?: number | null;
            plugged?: boolean | null;
            probe?: ("supply" | "pack") | null;
            probeCellId?: number | null;
            probeLead?: number | null;
            reseatLead?: number | null;
            skipS?: number | null;
            tightenGroup?: number | null;
            timeFactor?: number | null;
            wire?: ("loose" | "parallel" | "series") | null;
        };
        HardwareRequest: {
            /**
             * @default together
             * @enum {string}
             */
            balance?: "together" | "in-turn";
            /** @default 1 */
            batteries?: number;
            kit?: components["schemas"]["KitInput"] | null;
            parallel: number;
            /** @default 1 */
            rows?: number;
            series: number;
            /** @default 1 */
            studsPerPole?: number;
        };
        HourlyInput: {
            days?: number[] | null;
            dc?: boolean | null;
            hours: number[];
            months?: number[] | null;
            w: number;
        };
        InspectionChange: {
            bulge?: ("good" | "bad" | "unsure") | null;
            cellId?: number;
            clientKey?: string | null;
            dent?: ("good" | "bad" | "unsure") | null;
            heat?: ("good" | "bad" | "unsure") | null;
            inspectedAt?: string | null;
            leak?: ("good" | "bad" | "unsure") | null;
            notes?: string | null;
            resolved?: string | null;
            sleeve?: ("good" | "bad" | "unsure") | null;
            sleeveKind?: ("original" | "renewed" | "none") | null;
            smell?: ("good" | "bad" | "unsure") | null;
            terminalKind?: ("thread" | "stud" | "pad") | null;
            terminals?: ("good" | "bad" | "unsure") | null;
            thicknessMm?: (number | null)[] | null;
            thread?: ("good" | "bad" | "unsure") | null;
            vent?: ("good" | "bad" | "unsure") | null;
            ventKind?: ("round" | "oval" | "none") | null;
        };
        InspectionInput: {
            bulge?: ("good" | "bad" | "unsure") | null;
            cellId: number;
            clientKey?: string | null;
            dent?: ("good" | "bad" | "unsure") | null;
            heat?: ("good" | "bad" | "unsure") | null;
            inspectedAt?: string | null;
            leak?: ("good" | "bad" | "unsure") | null;
            notes?: string | null;
            resolved?: string | null;
            sleeve?: ("good" | "bad" | "unsure") | null;
            sleeveKind?: ("original" | "renewed" | "none") | null;
            smell?: ("good" | "bad" | "unsure") | null;
            terminalKind?: ("thread" | "stud" | "pad") | null;
            terminals?: ("good" | "bad" | "unsure") | null;
            thicknessMm?: (number | null)[] | null;
            thread?: ("good" | "bad" | "unsure") | null;
            vent?: ("good" | "bad" | "unsure") | null;
            ventKind?: ("round" | "oval" | "none") | null;
        };
        InstrumentChange: {
            accuracyFixed?: number | null;
            accuracyPercent?: number | null;
            /** @default 0 */
            currentGainPercent?: number;
            host?: string;
            /** @enum {string} */
            kind?: "supply" | "load" | "voltmeter" | "ohmmeter" | "bms" | "shunt";
            name?: string;
            /** @default false */
            outsideNamed?: boolean;
            port?: number;
            unitId?: number | null;
            /** @default 0 */
            voltageOffsetV?: number;
        };
        InstrumentInput: {
            accuracyFixed?: number | null;
            accuracyPercent?: number | null;
            /** @default 0 */
            currentGainPercent?: number;
            host: string;
            /** @enum {string} */
            kind: "supply" | "load" | "voltmeter" | "ohmmeter" | "bms" | "shunt";
            name: string;
            /** @default false */
            outsideNamed?: boolean;
            port: number;
            unitId?: number | null;
            /** @default 0 */
            voltageOffsetV?: number;
        };
        Interval: {
            high95: number;
            likely: number;
            low95: number;
        };
        InverterInput: {
            cutoffV?: number | null;
            efficiency: number;
            idleW: number;
            ratedW?: number | null;
        };
        JoinAnswer: {
            movedAhInDay: number;
            order: (string | number)[];
            peakA: components["schemas"]["Interval"] | null;
            verdicts: components["schemas"]["Verdict"][];
        };
        JoinItemInput: {
            acResistanceMohm?: number | null;
            capacityAh: number;
            cellsInSeries?: number | null;
            id: string | number;
            resistanceOhm?: number | null;
            restVoltageV: number;
            sdV?: number | null;
        };
        JoinRequest: {
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            items: components["schemas"]["JoinItemInput"][];
            linkOhm: number;
            linkRatingA?: number | null;
        };
        JointsAnswer: {
            joints: {
                group: number;
                heatW: number;
                mOhm: components["schemas"]["Interval"];
            }[];
            verdicts: components["schemas"]["Verdict"][];
        };
        JointsRequest: {
            chemistry?: ("LFP" | "LTO" | "NMC") | null;
            currentA: number;
            loadV: number[];
            meterSdV?: number | null;
            parallel?: number | null;
            restV: number[];
        };
        JointTorqueChange: {
            batteryId?: number;
            clientKey?: string | null;
            notes?: string | null;
            position?: number;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            tightenedAt?: string;
            torqueNm?: number;
        };
        JointTorqueInput: {
            batteryId: number;
            clientKey?: string | null;
            notes?: string | null;
            position: number;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            tightenedAt: string;
            torqueNm: number;
        };
        KitInput: {
            bar?: number | null;
            endPlate?: number | null;
            insulationSheet?: number | null;
            jumper?: number | null;
            mainTerminal?: number | null;
            nut?: number | null;
            ring?: number | null;
            rowLink?: number | null;
            stud?: number | null;
            thermistorPad?: number | null;
        };
        LabelAnswer: {
            consistent: boolean | null;
            likelyChemistry: string | null;
            perCellV: number | null;
            verdicts: components["schemas"]["Verdict"][];
        };
        LabelRequest: {
            chemistry?: ("LFP" | "LTO" | "NMC") | null;
            claimedA?: number | null;
            claimedKw?: number | null;
            fullV?: number | null;
            nominalV?: number | null;
            ratedAh?: number | null;
            ratedWh?: number | null;
            series?: number | null;
        };
        LayoutsRequest: {
            /** @default null */
            bmsPrice?: number | null;
            cells: components["schemas"]["CellChoiceInput"][];
            /** @default 0 */
            chargeW?: number;
            /**
             * @default [
             *       12,
             *       24,
             *       48
             *     ]
             */
            classesV?: number[];
            continuousW: number;
            /** @default 3 */
            mostBatteries?: number;
            peakW: number;
            usableWh: number;
            /** @default 0.8 */
            window?: number;
        };
        LeadReadingChange: {
            batteryId?: number;
            clientKey?: string | null;
            meter?: string | null;
            notes?: string | null;
            positiveV?: (number | null)[] | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            readAt?: string;
            readingsV?: (number | null)[];
        };
        LeadReadingInput: {
            batteryId: number;
            clientKey?: string | null;
            meter?: string | null;
            notes?: string | null;
            positiveV?: (number | null)[] | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            readAt: string;
            readingsV: (number | null)[];
        };
        LeadsAnswer: {
            explanations: {
                /** @enum {string} */
                code: "right" | "exchanged" | "block-reversed" | "open" | "wrong-node" | "doubled" | "polarity" | "two-faults";
                leads: number[];
                nodeOf: (number | null)[];
                probability: number;
                text: string;
            }[];
            next: {
                /** @enum {string} */
                against: "negative" | "positive";
                expect: {
                    /** @enum {string} */
                    code: "right" | "exchanged" | "block-reversed" | "open" | "wrong-node" | "doubled" | "polarity" | "two-faults";
                    voltageV: number;
                }[];
                lead: number;
            } | null;
            pass: boolean;
            unexplained: number;
            unread: number[];
            verdict: components["schemas"]["Verdict"];
        };
        LeftJoinedAnswer: {
            after: {
                apartAh: components["schemas"]["Interval"];
                hours: number;
                leftAh: components["schemas"]["Interval"];
                movedAh: components["schemas"]["Interval"];
            }[];
        };
        LeftJoinedRequest: {
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            hours: number[];
            items: components["schemas"]["JoinItemInput"][];
            linkOhm: number;
            linkRatingA?: number | null;
        };
        LiftRequest: {
            /** @default null */
            footprintM2?: number | null;
            massKg: number;
            /** @default 1 */
            people?: number;
            /** @default null */
            spanMm?: number | null;
        };
        LimitPlanChange: {
            bankId?: number;
            bmsA?: number | null;
            bmsResolutionV?: number | null;
            cableA?: number | null;
            fuseA?: number | null;
            /** @enum {string} */
            strategy?: "full-span" | "middle-road" | "long-life";
        };
        LimitPlanInput: {
            bankId: number;
            bmsA?: number | null;
            bmsResolutionV?: number | null;
            cableA?: number | null;
            fuseA?: number | null;
            /** @enum {string} */
            strategy: "full-span" | "middle-road" | "long-life";
        };
        LimitsRequest: {
            bms?: components["schemas"]["BmsInput"] | null;
            cableA?: number | null;
            cell: components["schemas"]["CellFigures"];
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            fuseA?: number | null;
            load?: components["schemas"]["LoadDrawInput"] | null;
            measuredGroupAh?: number | null;
            parallel: number;
            series: number;
            /** @enum {string} */
            strategy: "full-span" | "middle-road" | "long-life";
        };
        LiveConfirmInput: {
            confirmed: unknown[];
        };
        LiveInstrumentsInput: {
            bms?: number | null;
            load?: number | null;
            shunt?: number | null;
            supply?: number | null;
            voltmeter?: number | null;
        };
        LivePhase: {
            currentA: number;
            holdS: number;
            /** @constant */
            kind: "charge";
            stopAh?: number;
            tailA: number;
            voltageV: number;
        } | {
            durationS: number;
            /** @constant */
            kind: "rest";
        } | {
            currentA: number;
            cutoffV: number;
            /** @constant */
            kind: "discharge";
        } | {
            /** @constant */
            kind: "watch";
        };
        LivePhaseInput: {
            currentA?: number | null;
            cutoffV?: number | null;
            durationS?: number | null;
            holdS?: number | null;
            /** @enum {string} */
            kind: "charge" | "rest" | "discharge" | "watch";
            stopAh?: number | null;
            tailA?: number | null;
            voltageV?: number | null;
        };
        LiveRunInput: {
            balanceRunId?: number | null;
            bankId: number;
            cellId?: number | null;
            deadManS?: number | null;
            heldAtC?: number | null;
            instruments: components["schemas"]["LiveInstrumentsInput"];
            intervalMs?: number | null;
            /** @enum {string} */
            kind: "capacity" | "balance" | "watch";
            phases: components["schemas"]["LivePhaseInput"][];
            temperatureC?: number | null;
        };
        LiveSamples: {
            more: boolean;
            samples: {
                atMs: number;
                cellV: number | null;
                currentA: number;
                groupsV: number[] | null;
                phase: number;
                temperatureC: number | null;
                voltageV: number | null;
            }[];
        };
        LiveView: {
            bankId: number;
            bankName: string;
            endedBy: string | null;
            events: {
                happenedAt: string;
                id: number;
                kind: string;
                message: string;
                needsPerson: boolean;
                seenAt: string | null;
            }[];
            expectedAh: number | null;
            id: number;
            /** @enum {string} */
            kind: "capacity" | "balance" | "watch";
            last: {
                atMs: number;
                cellV: number | null;
                currentA: number;
                voltageV: number | null;
            } | null;
            phase: number;
            phases: components["schemas"]["LivePhase"][];
            remainingS: {
                high: number;
                low: number;
            } | null;
            runId: number | null;
            /** @enum {string} */
            state: "planned" | "running" | "waiting" | "ended";
            sums: {
                ah: number;
                endedMs: number | null;
                gapAh: number;
                gapS: number;
                startedMs: number;
                wh: number;
            }[];
            toEndS: {
                high: number;
                low: number;
            } | null;
            version: number;
        };
        LoadDrawInput: {
            continuousA?: number | null;
            inrushA?: number | null;
            inrushS?: number | null;
        };
        LoadReadingChange: {
            batteryId?: number;
            clientKey?: string | null;
            currentA?: number;
            loadV?: number[];
            meter?: string | null;
            notes?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            readAt?: string;
            restV?: number[];
        };
        LoadReadingInput: {
            batteryId: number;
            clientKey?: string | null;
            currentA: number;
            loadV: number[];
            meter?: string | null;
            notes?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            readAt: string;
            restV: number[];
        };
        LoadsRequest: {
            inverter?: components["schemas"]["InverterInput"] | null;
            loads: components["schemas"]["PlannedLoadInput"][];
            standbyW?: number | null;
        };
        LogFaultInput: {
            code: string;
            message: string;
            row?: number | null;
        };
        MatchCellInput: {
            batch?: string | null;
            capacityAh: number;
            capacitySdAh?: number | null;
            id: string | number;
            resistanceMohm?: number | null;
        };
        MatchGroupsInput: {
            despite?: string | null;
            groups: number[][];
            placedAt?: string | null;
            replaces?: number[] | null;
        };
        MatchInput: {
            apart?: (string | number)[][] | null;
            batchWish?: ("none" | "together" | "apart") | null;
            batteries?: number | null;
            cells: components["schemas"]["MatchCellInput"][];
            exclude?: (string | number)[] | null;
            locks?: components["schemas"]["MatchLockInput"][] | null;
            parallel: number;
            robust?: boolean | null;
            series: number;
            timeLimitS?: number | null;
        };
        MatchLockInput: {
            battery?: number | null;
            cellId: string | number;
            position: number;
        };
        MeasureInput: {
            cellId: number;
            clientKey?: string | null;
            instrumentId: number;
        };
        MethodEntryChange: {
            ah?: number | null;
            asked?: boolean | null;
            cellId?: number | null;
            clientKey?: string | null;
            currentA?: number | null;
            doneAt?: string | null;
            methodRunId?: number;
            passings?: {
                endAh: number;
                groups: ({
                    ah: number;
                    sdAh: number;
                } | null)[];
                voltageV: number;
            } | null;
            step?: string;
            unit?: string | null;
            voltageV?: number | null;
            volts?: number[] | null;
            wh?: number | null;
            words?: string | null;
        };
        MethodEntryInput: {
            ah?: number | null;
            asked?: boolean | null;
            cellId?: number | null;
            clientKey?: string | null;
            currentA?: number | null;
            doneAt?: string | null;
            methodRunId: number;
            passings?: {
                endAh: number;
                groups: ({
                    ah: number;
                    sdAh: number;
                } | null)[];
                voltageV: number;
            } | null;
            step: string;
            unit?: string | null;
            voltageV?: number | null;
            volts?: number[] | null;
            wh?: number | null;
            words?: string | null;
        };
        MethodRunChange: {
            bankId?: number;
            cellIds?: number[] | null;
            clientKey?: string | null;
            endedAt?: string | null;
            /** @enum {string} */
            method?: "fast" | "bottom" | "balancer" | "ready-made";
            /** @default {} */
            setup?: components["schemas"]["MethodSetupInput"];
        };
        MethodRunInput: {
            bankId: number;
            cellIds?: number[] | null;
            clientKey?: string | null;
            endedAt?: string | null;
            /** @enum {string} */
            method: "fast" | "bottom" | "balancer" | "ready-made";
            /** @default {} */
            setup?: components["schemas"]["MethodSetupInput"];
        };
        MethodSetupInput: {
            balancerA?: number | null;
            cellSupplyA?: number | null;
            currentA?: number | null;
            growthAhADay?: number | null;
            hoursADay?: number | null;
            leadOhm?: number | null;
            leastSeries?: number | null;
            madeFor?: ("LFP" | "LTO" | "NMC") | null;
            mostCellAh?: number | null;
            mostSeries?: number | null;
            startV?: number | null;
            stopV?: number | null;
            triggerV?: number | null;
            unitAh?: number | null;
            unitCells?: number | null;
            units?: string[] | null;
        };
        ModuleChange: {
            clientKey?: string | null;
            deliveryId?: number;
            groupsV?: (number | null)[] | null;
            notes?: string | null;
            number?: number;
            openedOn?: string | null;
            readAt?: string | null;
            seen?: ("leak" | "smell" | "heat" | "swelling" | "vent")[] | null;
            voltageV?: number | null;
        };
        ModuleInput: {
            clientKey?: string | null;
            deliveryId: number;
            groupsV?: (number | null)[] | null;
            notes?: string | null;
            number: number;
            openedOn?: string | null;
            readAt?: string | null;
            seen?: ("leak" | "smell" | "heat" | "swelling" | "vent")[] | null;
            voltageV?: number | null;
        };
        NewBalanceRunChange: {
            bankId?: number;
            cellIds?: number[] | null;
            checklist?: {
                [key: string]: boolean;
            } | null;
            endedAt?: string | null;
            hoursADay?: number | null;
            leadOhm?: number;
            setV?: number | null;
            setVReason?: string | null;
            startedAt?: string | null;
            supplyA?: number;
        };
        NewBalanceRunInput: {
            bankId: number;
            cellIds?: number[] | null;
            checklist?: {
                [key: string]: boolean;
            } | null;
            endedAt?: string | null;
            hoursADay?: number | null;
            leadOhm: number;
            setV?: number | null;
            setVReason?: string | null;
            startedAt?: string | null;
            supplyA: number;
        };
        NewDeliveryChange: {
            bankId?: number | null;
            batch?: string | null;
            cellCount?: number;
            cellPrice?: number | null;
            claimDays?: number | null;
            gradeCapacityAh?: number | null;
            gradeResistanceMohm?: number | null;
            /** @default C */
            labelPrefix?: string;
            moduleParallel?: number | null;
            moduleSeries?: number | null;
            name?: string;
            notes?: string | null;
            orderedOn?: string | null;
            orderId?: number | null;
            promisedAh?: number | null;
            promisedClause?: ("minimum" | "nominal" | "typical") | null;
            promisedGrade?: string | null;
            promisedOn?: string | null;
            promisedProducedOn?: string | null;
            promisedResistanceMohm?: number | null;
            promisedTerminals?: ("thread" | "stud" | "pad") | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            receivedOn?: string;
            shipping?: number | null;
            supplier?: string | null;
            used?: boolean | null;
        };
        NewDeliveryInput: {
            bankId?: number | null;
            batch?: string | null;
            cellCount: number;
            cellPrice?: number | null;
            claimDays?: number | null;
            gradeCapacityAh?: number | null;
            gradeResistanceMohm?: number | null;
            /** @default C */
            labelPrefix?: string;
            moduleParallel?: number | null;
            moduleSeries?: number | null;
            name: string;
            notes?: string | null;
            orderedOn?: string | null;
            orderId?: number | null;
            promisedAh?: number | null;
            promisedClause?: ("minimum" | "nominal" | "typical") | null;
            promisedGrade?: string | null;
            promisedOn?: string | null;
            promisedProducedOn?: string | null;
            promisedResistanceMohm?: number | null;
            promisedTerminals?: ("thread" | "stud" | "pad") | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            receivedOn: string;
            shipping?: number | null;
            supplier?: string | null;
            used?: boolean | null;
        };
        NoteChange: {
            cellId?: number;
            clientKey?: string | null;
            text?: string;
            writtenAt?: string | null;
        };
        NotedLoad: {
            currentA?: number | null;
            powerW?: number | null;
        };
        NotedRunChange: {
            cellId?: number;
            clientKey?: string | null;
            currentA?: number | null;
            cutoffV?: number;
            lookAgainAt?: string | null;
            /** @default [] */
            notes?: components["schemas"]["SpotNoteInput"][];
            powerW?: number | null;
            restS?: number | null;
            runId?: number | null;
            startedAt?: string | null;
            startedFull?: boolean | null;
        };
        NotedRunInput: {
            cellId: number;
            clientKey?: string | null;
            currentA?: number | null;
            cutoffV: number;
            lookAgainAt?: string | null;
            /** @default [] */
            notes?: components["schemas"]["SpotNoteInput"][];
            powerW?: number | null;
            restS?: number | null;
            runId?: number | null;
            startedAt?: string | null;
            startedFull?: boolean | null;
        };
        NoteInput: {
            cellId: number;
            clientKey?: string | null;
            text: string;
            writtenAt?: string | null;
        };
        NotesAnswer: {
            capacityAh: components["schemas"]["Interval"];
            finishS: components["schemas"]["Interval"];
            fits: boolean;
            lookAgainS: number;
            oddNote: number | null;
        };
        OrderChange: {
            bankId?: number;
            cellCount?: number | null;
            cellPrice?: number | null;
            claimDays?: number | null;
            gradeCapacityAh?: number | null;
            gradeResistanceMohm?: number | null;
            name?: string;
            notes?: string | null;
            orderedOn?: string | null;
            promisedAh?: number | null;
            promisedClause?: ("minimum" | "nominal" | "typical") | null;
            promisedGrade?: string | null;
            promisedOn?: string | null;
            promisedProducedOn?: string | null;
            promisedResistanceMohm?: number | null;
            promisedTerminals?: ("thread" | "stud" | "pad") | null;
            shipping?: number | null;
            supplier?: string | null;
            used?: boolean | null;
        };
        OrderInput: {
            bankId: number;
            cellCount?: number | null;
            cellPrice?: number | null;
            claimDays?: number | null;
            gradeCapacityAh?: number | null;
            gradeResistanceMohm?: number | null;
            name: string;
            notes?: string | null;
            orderedOn?: string | null;
            promisedAh?: number | null;
            promisedClause?: ("minimum" | "nominal" | "typical") | null;
            promisedGrade?: string | null;
            promisedOn?: string | null;
            promisedProducedOn?: string | null;
            promisedResistanceMohm?: number | null;
            promisedTerminals?: ("thread" | "stud" | "pad") | null;
            shipping?: number | null;
            supplier?: string | null;
            used?: boolean | null;
        };
        OrderTerms: {
            cellPrice?: number | null;
            claimDays?: number | null;
            gradeCapacityAh?: number | null;
            gradeResistanceMohm?: number | null;
            notes?: string | null;
            orderedOn?: string | null;
            promisedAh?: number | null;
            promisedClause?: ("minimum" | "nominal" | "typical") | null;
            promisedGrade?: string | null;
            promisedOn?: string | null;
            promisedProducedOn?: string | null;
            promisedResistanceMohm?: number | null;
            promisedTerminals?: ("thread" | "stud" | "pad") | null;
            shipping?: number | null;
            supplier?: string | null;
            used?: boolean | null;
        };
        PanelFieldInput: {
            azimuthDeg: number;
            tiltDeg: number;
            w: number;
        };
        PartsRequest: {
            bankAh: number;
            /** @default 1 */
            batteries?: number;
            /** @default 0 */
            chargeA?: number;
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            /** @default 0 */
            contactorW?: number;
            continuousW: number;
            /** @default true */
            freezes?: boolean;
            leastV?: number | null;
            peakW: number;
            series: number;
            surgeW: number;
        };
        PickCellsInput: {
            cellIds: number[];
        };
        PlacementChange: {
            bankId?: number | null;
            battery?: number | null;
            cellId?: number;
            groupId?: number | null;
            placedAt?: string | null;
            position?: number | null;
            removedAt?: string | null;
        };
        PlacementInput: {
            bankId?: number | null;
            battery?: number | null;
            cellId: number;
            groupId?: number | null;
            placedAt?: string | null;
            position?: number | null;
            removedAt?: string | null;
        };
        PlanChange: {
            airC?: number[] | null;
            /**
             * @default together
             * @enum {string}
             */
            balance?: "together" | "in-turn";
            bankId?: number;
            barsForCells?: number | null;
            bmsPrice?: number | null;
            box?: components["schemas"]["BoxInput"] | null;
            boxWarmC?: number | null;
            cellLeadDays?: number | null;
            cellPrice?: number | null;
            /** @default [] */
            chargers?: components["schemas"]["ChargerInput"][];
            coldestC?: number | null;
            /** @default [] */
            fields?: components["schemas"]["PanelFieldInput"][];
            generator?: components["schemas"]["GeneratorInput"] | null;
            hottestC?: number | null;
            hoursADay?: number | null;
            inverter?: components["schemas"]["InverterInput"] | null;
            /** @default {} */
            kit?: components["schemas"]["KitInput"];
            latitudeDeg?: number | null;
            /** @default [] */
            loads?: components["schemas"]["PlannedLoadInput"][];
            orderOn?: string | null;
            partLeadDays?: number | null;
            people?: number | null;
            readyMadePrice?: number | null;
            readyMadeWh?: number | null;
            rows?: number | null;
            seriesChargeA?: number | null;
            /** @default [] */
            sources?: components["schemas"]["HourlyInput"][];
            standbyW?: number | null;
            /** @default 1 */
            studsPerPole?: number;
            sunHours?: number[] | null;
            /** @default [] */
            supplies?: components["schemas"]["SupplyInput"][];
            supplyHoursADay?: number | null;
            testA?: number | null;
            testDeliversA?: number | null;
            testers?: number | null;
            window?: number | null;
        };
        PlanInput: {
            airC?: number[] | null;
            /**
             * @default together
             * @enum {string}
             */
            balance?: "together" | "in-turn";
            bankId: number;
            barsForCells?: number | null;
            bmsPrice?: number | null;
            box?: components["schemas"]["BoxInput"] | null;
            boxWarmC?: number | null;
            cellLeadDays?: number | null;
            cellPrice?: number | null;
            /** @default [] */
            chargers?: components["schemas"]["ChargerInput"][];
            coldestC?: number | null;
            /** @default [] */
            fields?: components["schemas"]["PanelFieldInput"][];
            generator?: components["schemas"]["GeneratorInput"] | null;
            hottestC?: number | null;
            hoursADay?: number | null;
            inverter?: components["schemas"]["InverterInput"] | null;
            /** @default {} */
            kit?: components["schemas"]["KitInput"];
            latitudeDeg?: number | null;
            /** @default [] */
            loads?: components["schemas"]["PlannedLoadInput"][];
            orderOn?: string | null;
            partLeadDays?: number | null;
            people?: number | null;
            readyMadePrice?: number | null;
            readyMadeWh?: number | null;
            rows?: number | null;
            seriesChargeA?: number | null;
            /** @default [] */
            sources?: components["schemas"]["HourlyInput"][];
            standbyW?: number | null;
            /** @default 1 */
            studsPerPole?: number;
            sunHours?: number[] | null;
            /** @default [] */
            supplies?: components["schemas"]["SupplyInput"][];
            supplyHoursADay?: number | null;
            testA?: number | null;
            testDeliversA?: number | null;
            testers?: number | null;
            window?: number | null;
        };
        PlanItemChange: {
            bankId?: number;
            clientKey?: string | null;
            name?: string;
            priceBreaks?: components["schemas"]["PriceBreakInput"][] | null;
            pricedOn?: string | null;
            /** @default 1 */
            quantity?: number;
            /** @default 0 */
            shipping?: number;
            source?: string | null;
            unitPrice?: number;
            /** @default false */
            used?: boolean;
        };
        PlanItemInput: {
            bankId: number;
            clientKey?: string | null;
            name: string;
            priceBreaks?: components["schemas"]["PriceBreakInput"][] | null;
            pricedOn?: string | null;
            /** @default 1 */
            quantity?: number;
            /** @default 0 */
            shipping?: number;
            source?: string | null;
            unitPrice: number;
            /** @default false */
            used?: boolean;
        };
        PlannedLiveRun: {
            run: components["schemas"]["Recorded"];
            values: string[];
        };
        PlannedLoadInput: {
            /** @default 1 */
            count?: number;
            days?: number[] | null;
            /** @default false */
            dc?: boolean;
            hours: number[];
            /** @default null */
            months?: number[] | null;
            name: string;
            /** @default 1 */
            share?: number;
            /** @default null */
            surgeW?: number | null;
            w: number;
        };
        PriceBreakInput: {
            from: number;
            unitPrice: number;
        };
        PriceSnapshotChange: {
            bankId?: number;
            clientKey?: string | null;
            items?: components["schemas"]["SnapshotItemInput"][];
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            takenAt?: string;
        };
        PriceSnapshotInput: {
            bankId: number;
            clientKey?: string | null;
            items: components["schemas"]["SnapshotItemInput"][];
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            takenAt: string;
        };
        Probed: {
            voltageV: number;
        };
        /** @description RFC 9457 problem details */
        Problem: {
            code?: string;
            detail?: string;
            errors?: {
                message?: string;
                path?: string;
            }[];
            status?: number;
            title?: string;
            type?: string;
        };
        ProtocolChange: {
            chargeCRate?: number | null;
            chargeV?: number | null;
            clientKey?: string | null;
            cutoffV?: number | null;
            dischargeCRate?: number | null;
            name?: string;
            restH?: number | null;
            tailCRate?: number | null;
            temperatureC?: number | null;
        };
        ProtocolInput: {
            chargeCRate?: number | null;
            chargeV?: number | null;
            clientKey?: string | null;
            cutoffV?: number | null;
            dischargeCRate?: number | null;
            name: string;
            restH?: number | null;
            tailCRate?: number | null;
            temperatureC?: number | null;
        };
        QueueAnswer: {
            boundEndsAt: string;
            buy: {
                savesH: number;
                what: string;
            }[];
            endsAt: string;
            steps: {
                cellId: string | number;
                from: string;
                /** @enum {string} */
                kind: "soak" | "charge" | "rest" | "discharge" | "store";
                needsPerson: boolean;
                on: (string | number) | null;
                to: string;
            }[];
        };
        QueueCellInput: {
            capacityAh: number;
            id: string | number;
            soc?: number | null;
            testBy?: string | null;
            tested?: boolean | null;
        };
        QueueThingInput: {
            currentA: number;
            id: string | number;
        };
        ReadBatteryInput: {
            batteryId?: number | null;
            cellId?: number | null;
            group?: number | null;
            instrumentId: number;
            lead?: number | null;
            positive?: boolean | null;
        };
        ReadingChange: {
            cellId?: number;
            clientKey?: string | null;
            meter?: string | null;
            probe?: ("four-wire" | "on-bolts" | "two-wire") | null;
            /** @enum {string} */
            quantity?: "restVoltage" | "acResistance" | "temperature" | "mass" | "thickness";
            rawText?: string;
            restS?: number | null;
            /**
             * @default loose
             * @enum {string}
             */
            state?: "loose" | "joined" | "series" | "end-of-charge" | "under-load";
            stateA?: number | null;
            takenAt?: string | null;
            takenDoubtS?: number | null;
        };
        ReadingInput: {
            cellId: number;
            clientKey?: string | null;
            meter?: string | null;
            probe?: ("four-wire" | "on-bolts" | "two-wire") | null;
            /** @enum {string} */
            quantity: "restVoltage" | "acResistance" | "temperature" | "mass" | "thickness";
            rawText: string;
            restS?: number | null;
            /**
             * @default loose
             * @enum {string}
             */
            state?: "loose" | "joined" | "series" | "end-of-charge" | "under-load";
            stateA?: number | null;
            takenAt?: string | null;
            takenDoubtS?: number | null;
        };
        Recorded: {
            /** Format: date-time */
            createdAt: string;
            /** Format: date-time */
            deletedAt: string | null;
            id: number;
            /** Format: date-time */
            updatedAt: string;
            version: number;
        };
        RefillRequest: {
            ah: number;
            days: number;
            sdAh: number;
        };
        RehearsalInput: {
            ready?: string | null;
            scenario?: Record<string, never> | null;
            seed?: number | null;
        };
        RunAnalysis: {
            capacityAh: number;
            columns: {
                current: {
                    factor: number;
                    header: string;
                    index: number;
                    unit: string;
                    unitStated: boolean;
                };
                time: {
                    factor: number;
                    header: string;
                    index: number;
                    unit: string;
                    unitStated: boolean;
                };
                voltage: {
                    factor: number;
                    header: string;
                    index: number;
                    unit: string;
                    unitStated: boolean;
                };
            };
            cRate: number | null;
            currentA: number | null;
            durationS: number;
            endedAt: string | null;
            endVoltageV: number;
            energyWh: number;
            faults: {
                code: string;
                message: string;
                row: number | null;
            }[];
            meanVoltageV: number | null;
        };
        RunChange: {
            capacityAh?: number;
            cellId?: number;
            clientKey?: string | null;
            correctionsOff?: ("drop" | "temperature" | "rate" | "tester")[] | null;
            currentA?: number | null;
            cutoffV?: number | null;
            energyWh?: number | null;
            heldAtC?: number | null;
            leadOhm?: number | null;
            meanVoltageV?: number | null;
            powerW?: number | null;
            restS?: number | null;
            sdAh?: number | null;
            startedFull?: boolean | null;
            temperatureC?: number | null;
            testedAt?: string | null;
            testedDoubtS?: number | null;
            tester?: string | null;
        };
        RunInput: {
            capacityAh: number;
            cellId: number;
            clientKey?: string | null;
            correctionsOff?: ("drop" | "temperature" | "rate" | "tester")[] | null;
            currentA?: number | null;
            cutoffV?: number | null;
            energyWh?: number | null;
            heldAtC?: number | null;
            leadOhm?: number | null;
            meanVoltageV?: number | null;
            powerW?: number | null;
            restS?: number | null;
            sdAh?: number | null;
            startedFull?: boolean | null;
            temperatureC?: number | null;
            testedAt?: string | null;
            testedDoubtS?: number | null;
            tester?: string | null;
        };
        SelfDischargeAnswer: {
            percentPerMonth: components["schemas"]["Interval"] | null;
            verdict: components["schemas"]["Verdict"];
        };
        SelfDischargeRequest: {
            capacityAh: number;
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            readings?: components["schemas"]["StoredReadingRequest"][] | null;
            refill?: components["schemas"]["RefillRequest"] | null;
        };
        ServiceCheckChange: {
            bankId?: number;
            /** @default 1 */
            battery?: number;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            checkedAt?: string;
            checkedDoubtS?: number | null;
            clientKey?: string | null;
            /** @enum {string} */
            context?: "full" | "empty" | "rest" | "load";
            currentA?: number;
            groupVoltagesV?: (number | null)[];
            notes?: string | null;
            passings?: {
                endAh: number;
                groups: ({
                    ah: number;
                    sdAh: number;
                } | null)[];
                voltageV: number;
            } | null;
            temperatureC?: number | null;
        };
        ServiceCheckInput: {
            bankId: number;
            /** @default 1 */
            battery?: number;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            checkedAt: string;
            checkedDoubtS?: number | null;
            clientKey?: string | null;
            /** @enum {string} */
            context: "full" | "empty" | "rest" | "load";
            currentA: number;
            groupVoltagesV: (number | null)[];
            notes?: string | null;
            passings?: {
                endAh: number;
                groups: ({
                    ah: number;
                    sdAh: number;
                } | null)[];
                voltageV: number;
            } | null;
            temperatureC?: number | null;
        };
        SettingsInput: {
            currency: string;
            /** @enum {string} */
            dateStyle: "day-first" | "month-first" | "iso";
            ohmMeterCountsMohm: number;
            ohmMeterPercent: number;
            /** @enum {string} */
            theme: "ash" | "coal";
            /** @enum {string} */
            units: "metric" | "us";
            voltMeterCountsMv: number;
            voltMeterPercent: number;
            wakeFromH: number;
            wakeUntilH: number;
        };
        SimulatedCellInput: {
            capacityAh?: number | null;
            capacityFactor?: number | null;
            coulombicEfficiency?: number | null;
            id: string | number;
            massKg?: number | null;
            resistanceFactor?: number | null;
            selfDischargePerMonth?: number | null;
            soc?: number | null;
            temperatureC?: number | null;
        };
        SimulatedStepInput: {
            currentA?: number | null;
            /** @enum {string} */
            kind: "rest" | "charge" | "discharge";
            leadOhm?: number | null;
            powerW?: number | null;
            until: components["schemas"]["StepEndInput"];
            voltageV?: number | null;
        };
        SimulationRequest: {
            recordEveryS: number;
            steps: components["schemas"]["SimulatedStepInput"][];
            stepS: number;
            world: components["schemas"]["WorldInput"];
        };
        SnapshotItemInput: {
            name: string;
            quantity: number;
            /** @default 0 */
            shipping?: number;
            unitPrice: number;
            /** @default false */
            used?: boolean;
        };
        SocBoundsInput: {
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            lastMove?: ("charge" | "discharge") | null;
            meterSdV: number;
            restS: number;
            restVoltageV: number;
        };
        SpotNoteInput: {
            ah?: number | null;
            timeS?: number | null;
            voltageV?: number | null;
        };
        StepEndInput: {
            cellHighV?: number | null;
            cellLowV?: number | null;
            durationS?: number | null;
            tailA?: number | null;
        };
        StorageTestChange: {
            cellId?: number;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            chargedAt?: string;
            clientKey?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            dueOn?: string;
            notes?: string | null;
            refillAh?: number | null;
            refilledAt?: string | null;
            refillSdAh?: number | null;
        };
        StorageTestInput: {
            cellId: number;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            chargedAt: string;
            clientKey?: string | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            dueOn: string;
            notes?: string | null;
            refillAh?: number | null;
            refilledAt?: string | null;
            refillSdAh?: number | null;
        };
        StoredAcknowledgementInput: {
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            acknowledgedAt: string;
            bankId: number;
            clientKey?: string | null;
            code: string;
            facts: Record<string, never>;
            reason: string;
            /** @enum {string} */
            stage: "plan" | "receive" | "test" | "match" | "balance" | "build" | "limits" | "prove" | "serve";
            subjectId: string | number;
            /** @enum {string} */
            subjectKind: "bank" | "battery" | "group" | "cell" | "delivery" | "module" | "run" | "balance" | "method" | "joint" | "lead" | "instrument";
        };
        StoredAttachmentInput: {
            about?: string | null;
            hash: string;
            name: string;
            subjectId: string | number;
            /** @enum {string} */
            subjectKind: "bank" | "battery" | "group" | "cell" | "delivery" | "module" | "run" | "balance" | "method" | "joint" | "lead" | "instrument";
            takenAt?: string | null;
        };
        StoredBankInput: {
            /** @enum {string} */
            bankUse: "cabin" | "van" | "motorhome" | "boat" | "other";
            /** @default 1 */
            batteries?: number;
            cellTypeId?: number | null;
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            /** @default 0.8 */
            endFraction?: number;
            inServiceOn?: string | null;
            name: string;
            notes?: string | null;
            parallel: number;
            rehearsal?: boolean | null;
            series: number;
        };
        StoredCellTypeInput: {
            acResistanceMohm?: number | null;
            chargeColdC?: number | null;
            chargeCRate?: number | null;
            chargeHotC?: number | null;
            chargeLimitV?: number | null;
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            dischargeColdC?: number | null;
            dischargeCRate?: number | null;
            dischargeHotC?: number | null;
            dischargeLimitV?: number | null;
            heightMm?: number | null;
            holeDepthMm?: number | null;
            maker?: string | null;
            massKg?: number | null;
            name: string;
            ratedAh: number;
            rehearsal?: boolean | null;
            terminal?: string | null;
            thicknessMm?: number | null;
            torqueNm?: number | null;
            widthMm?: number | null;
        };
        StoredDeliveryInput: {
            bankId?: number | null;
            cellPrice?: number | null;
            claimDays?: number | null;
            gradeCapacityAh?: number | null;
            gradeResistanceMohm?: number | null;
            moduleParallel?: number | null;
            moduleSeries?: number | null;
            name: string;
            notes?: string | null;
            orderedOn?: string | null;
            promisedAh?: number | null;
            promisedClause?: ("minimum" | "nominal" | "typical") | null;
            promisedGrade?: string | null;
            promisedOn?: string | null;
            promisedProducedOn?: string | null;
            promisedResistanceMohm?: number | null;
            promisedTerminals?: ("thread" | "stud" | "pad") | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            receivedOn: string;
            rehearsal?: boolean | null;
            shipping?: number | null;
            supplier?: string | null;
            used?: boolean | null;
        };
        StoredGroupInput: {
            batteryId: number;
            position: number;
        };
        StoredLiveEventInput: {
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            happenedAt: string;
            kind: string;
            liveRunId: number;
            message: string;
            needsPerson: boolean;
            seenAt?: string | null;
        };
        StoredLiveRunInput: {
            balanceRunId?: number | null;
            bankId: number;
            cellId?: number | null;
            chemistry?: ("LFP" | "LTO" | "NMC") | null;
            deadManS: number;
            endedAt?: string | null;
            endedBy?: string | null;
            expectedAh?: number | null;
            heldAtC?: number | null;
            instruments: unknown[];
            intervalMs: number;
            /** @enum {string} */
            kind: "capacity" | "balance" | "watch";
            phases: unknown[];
            progress: Record<string, never>;
            runId?: number | null;
            startedAt?: string | null;
            /** @enum {string} */
            state: "planned" | "running" | "waiting" | "ended";
            temperatureC?: number | null;
        };
        StoredOrderInput: {
            bankId: number;
            cellCount?: number | null;
            cellPrice?: number | null;
            claimDays?: number | null;
            deliveryId?: number | null;
            gradeCapacityAh?: number | null;
            gradeResistanceMohm?: number | null;
            name: string;
            notes?: string | null;
            orderedOn?: string | null;
            promisedAh?: number | null;
            promisedClause?: ("minimum" | "nominal" | "typical") | null;
            promisedGrade?: string | null;
            promisedOn?: string | null;
            promisedProducedOn?: string | null;
            promisedResistanceMohm?: number | null;
            promisedTerminals?: ("thread" | "stud" | "pad") | null;
            shipping?: number | null;
            supplier?: string | null;
            used?: boolean | null;
        };
        StoredReadingInput: {
            cellId: number;
            clientKey?: string | null;
            meter?: string | null;
            probe?: ("four-wire" | "on-bolts" | "two-wire") | null;
            /** @enum {string} */
            quantity: "restVoltage" | "acResistance" | "temperature" | "mass" | "thickness";
            rawText: string;
            rawUnit: string;
            restS?: number | null;
            sd: number;
            /**
             * @default loose
             * @enum {string}
             */
            state?: "loose" | "joined" | "series" | "end-of-charge" | "under-load";
            stateA?: number | null;
            takenAt?: string | null;
            takenDoubtS?: number | null;
            value: number;
        };
        StoredReadingRequest: {
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            at: string;
            restVoltageV: number;
            sdV: number;
            temperatureC?: number | null;
        };
        StoredRehearsalInput: {
            bankId: number;
            conclusions?: unknown[] | null;
            judgement?: Record<string, never> | null;
            revealedAt?: string | null;
            saved?: string | null;
            scenario: Record<string, never>;
        };
        StoredRunInput: {
            capacityAh: number;
            cellId: number;
            clientKey?: string | null;
            correctionsOff?: ("drop" | "temperature" | "rate" | "tester")[] | null;
            cRate?: number | null;
            currentA?: number | null;
            cutoffV?: number | null;
            durationS?: number | null;
            endVoltageV?: number | null;
            energyWh?: number | null;
            faults?: components["schemas"]["LogFaultInput"][] | null;
            fileName?: string | null;
            heldAtC?: number | null;
            instrumentId?: number | null;
            leadOhm?: number | null;
            meanVoltageV?: number | null;
            powerW?: number | null;
            restS?: number | null;
            sdAh?: number | null;
            /** @enum {string} */
            source: "log" | "hand" | "live";
            startedFull?: boolean | null;
            temperatureC?: number | null;
            testedAt?: string | null;
            testedDoubtS?: number | null;
            tester?: string | null;
        };
        Subject: {
            id: number | string;
            /** @enum {string} */
            kind: "bank" | "battery" | "group" | "cell" | "delivery" | "module" | "run" | "balance" | "method" | "joint" | "lead" | "instrument";
            label: string;
        };
        SupplyInput: {
            a: number;
            deliversA?: number | null;
            highestV: number;
            leadOhm: number;
            /** @default 0 */
            lowestV?: number;
            name: string;
        };
        TemporaryPartChange: {
            batteryId?: number;
            clientKey?: string | null;
            name?: string;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            putInAt?: string;
            takenOutAt?: string | null;
        };
        TemporaryPartInput: {
            batteryId: number;
            clientKey?: string | null;
            name: string;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            putInAt: string;
            takenOutAt?: string | null;
        };
        TesterRunInput: {
            capacityAh: number;
            cellId: string | number;
            sdAh: number;
            testerId: string | number;
        };
        TestersAnswer: {
            cells: {
                capacityAh: number;
                cellId: string | number;
                sdAh: number;
            }[];
            testers: {
                gain: number;
                sdGain: number;
                testerId: string | number;
            }[];
        };
        TestersRequest: {
            runs: components["schemas"]["TesterRunInput"][];
        };
        TestQueueRequest: {
            cells: components["schemas"]["QueueCellInput"][];
            restH?: number | null;
            soakH?: number | null;
            /** @description A date like 2026-03-09, or a date and time like 2026-03-09T14:05:00Z */
            startAt: string;
            supplies: components["schemas"]["QueueThingInput"][];
            testers: components["schemas"]["QueueThingInput"][];
            timeZone?: string | null;
            unattendedDischarge?: boolean | null;
            waking: components["schemas"]["WakingInput"];
        };
        Tried: {
            identity: {
                ownClock: boolean;
                text: string;
                watchdog: boolean;
            };
            reading: {
                atMs: number;
                countedAh: number | null;
                currentA: number | null;
                on: boolean | null;
                resistanceOhm: number | null;
                setTo?: {
                    currentA: number;
                    voltageV: number;
                };
                voltageV: number | null;
            } | null;
            trouble: string | null;
        };
        /** @description A judgement as data, with its sentences; the facts of each code are in docs/verdicts.md */
        Verdict: {
            /**
             * @description What became of its next step: nobody is asked, or a cell that must not be used comes first
             * @enum {string}
             */
            asks?: "nothing" | "after-stop";
            /** @enum {string} */
            code: "label-agrees" | "label-alone" | "label-energy" | "label-undivided" | "label-amps" | "label-kilowatts" | "label-ampere-hours" | "label-peak" | "label-chemistry" | "label-volts" | "chemistry-mismatch" | "defaults-used" | "touch-voltage" | "plan-complete" | "series-limit" | "unlike-voltages" | "plan-amps" | "plan-short-energy" | "plan-energy" | "charger-too-high" | "charger-too-low" | "charger-not-lithium" | "panels-too-high" | "panels-too-low" | "alternator-direct" | "charge-cold" | "first-charge" | "no-supply" | "hardware-short" | "hardware-there" | "box-short" | "box-fits" | "lift-heavy" | "year-dark" | "year-holds" | "order-overdue" | "calendar-order" | "nearly-empty" | "arrival-cumulative" | "resistance-over-promise" | "thickness-outlier" | "mass-outlier" | "mass-under-sheet" | "read-unlike-warm" | "used-cells" | "delivery-claim" | "inspection-stop" | "inspection-look" | "inspection-unsure" | "not-inspected" | "inspected-sound" | "cells-unlike" | "terminals-not-promised" | "code-unreadable" | "code-chemistry" | "code-after-arrival" | "code-older-than-promised" | "print-and-code-apart" | "print-after-arrival" | "print-older-than-promised" | "code-twice" | "age-at-arrival" | "modules-whole" | "module-volts" | "module-low" | "module-high" | "module-turned" | "module-below-others" | "module-damaged" | "module-taps-disagree" | "module-groups-alike" | "module-group-high" | "module-group-low" | "not-read" | "polarity" | "deep-discharged" | "chemistry-doubted" | "overcharged" | "voltage-outlier" | "resistance-outlier" | "resistance-agrees" | "charge-unknown" | "charge-known" | "self-discharge-high" | "self-discharge-usual" | "self-discharge-unsure" | "self-discharge-waits" | "cells-idle" | "delivery-late" | "self-discharge-unknown" | "outside-grade" | "within-grade" | "capacity-short" | "capacity-meets" | "capacity-unsure" | "capacity-undecided" | "capacity-at-least" | "runs-contradict" | "run-slipped" | "run-mean-voltage" | "run-too-good" | "testers-apart" | "next-run" | "at-temperatures" | "weak-at-temperature" | "temperature-missed" | "correction-refused" | "untested" | "witnesses-agree" | "witness-alone" | "witness-odd" | "witnesses-disagree" | "witnesses-too-good" | "match-refused" | "match-too-uneven" | "match-uneven" | "match-surplus" | "match-even" | "match-gain" | "match-resistive" | "match-few" | "match-waiting" | "match-partly" | "balance-done" | "balance-unmet" | "balance-ended" | "lead-drop" | "balance-misses" | "balance-waiting" | "balance-loaded" | "balance-plateau" | "balance-partly" | "balance-unsure" | "balance-units" | "parted-at-bottom" | "balanced-top" | "apart-top" | "balanced-bottom" | "apart-bottom" | "balancer-unfit" | "balancer-leads" | "balancer-starts-low" | "balancer-works" | "balancer-idle" | "balancer-unproved" | "balancer-smoke" | "balancer-not-read" | "balancer-days" | "balancer-never" | "units-unread" | "units-charging" | "gain-not-comparable" | "gain-made" | "gain-unproved" | "units-apart" | "repeat-in" | "balancer-clamp-alone" | "unit-trips" | "supply-dead" | "supply-sags" | "supply-display" | "row-over" | "arrival-by-charge" | "arrival-too-much" | "counter-unclear" | "row-cold" | "bar-high" | "bars-alike" | "bars-untold" | "charger-stopped-early" | "light-waits" | "light-full" | "light-short" | "light-above" | "light-unsure" | "settle-low" | "settle-high" | "settle-waits" | "settle-row" | "settle-row-low" | "settle-late" | "settled" | "sets-compared" | "join-unknown" | "row-stopped" | "join-polarity" | "join-unlike" | "join-refused" | "join-checked" | "joined-apart" | "links-still-on" | "links-off" | "links-unproved" | "bottom-on-its-way" | "bottom-high" | "bottom-too-fast" | "bottom-odd-rebound" | "bottom-met" | "bottom-apart" | "bottom-unsure" | "empty-set" | "first-charge-over" | "first-charge-apart" | "fast-not-begun" | "steps-not-full" | "bottom-too-deep" | "fast-charging" | "fast-false-trip" | "fast-tripped" | "leads-unread" | "leads-right" | "leads-wrong" | "leads-unclear" | "torques-open" | "torques-kept" | "torque-odd" | "temporary-in" | "chain-holds" | "chain-broken" | "fuse-over-cable" | "bms-cells" | "bms-over-cable" | "fuse-under-bms" | "wiring-under-load" | "wiring-unknown" | "wiring-holds" | "capacity-since" | "standby-short" | "standby-lasts" | "limits-no-room" | "limits-waiting" | "prove-open" | "prove-checked" | "prove-shut" | "joint-loose" | "joints-hidden" | "joints-unclear" | "joints-even" | "bms-misreads" | "bms-leads" | "bms-agrees" | "counters-disagree" | "counters-agree" | "capacity-as-matched" | "capacity-below-match" | "capacity-above-match" | "no-check" | "check-not-judged" | "load-apart" | "load-even" | "no-drift" | "drift" | "drift-grows" | "drift-unsure" | "fade-end" | "fade-bend" | "fade-misfit" | "fade-prior" | "fade" | "type-figure-doubted" | "read-cumulative" | "read-units" | "leads-exchanged" | "read-impossible" | "evidence-lapsed" | "no-cell-type" | "not-one-cell" | "not-judged";
            doubt: string | null;
            facts: Record<string, never>;
            finding: string;
            members: components["schemas"]["Subject"][];
            next: string | null;
            rule: string;
            /** @description Why a person has set it apart */
            setApart?: string;
            /** @enum {string} */
            stage?: "plan" | "receive" | "test" | "match" | "balance" | "build" | "limits" | "prove" | "serve";
            subject: components["schemas"]["Subject"];
            title: string;
            /** @enum {string} */
            warmth: "calm" | "open" | "look" | "stop";
        };
        WakingInput: {
            from: string;
            to: string;
        };
        WatchedCheckInput: {
            battery?: number | null;
            /** @enum {string} */
            context: "full" | "empty" | "rest" | "load";
        };
        WhereWasI: {
            lastWorkedAt: string | null;
            lines: string[];
            next: {
                act: string;
                stage: string;
                title: string;
            } | null;
        };
        WiringInput: {
            groups?: (string | number)[][] | null;
            /** @enum {string} */
            kind: "loose" | "parallel" | "series";
            linkOhm?: number | null;
        };
        WitnessesAnswer: {
            ah: components["schemas"]["Interval"] | null;
            odd: number | null;
            verdict: components["schemas"]["Verdict"];
            wh: components["schemas"]["Interval"] | null;
        };
        WitnessesRequest: {
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            cRate?: number | null;
            items: components["schemas"]["WitnessInput"][];
            ratedAh?: number | null;
            temperatureC?: number | null;
        };
        WitnessInput: {
            ah?: number | null;
            amps?: number | null;
            efficiency?: number | null;
            fromC?: number | null;
            hours?: number | null;
            /** @enum {string} */
            kind: "ah" | "wh" | "hours-amps" | "watts-hours" | "kwh-out" | "water";
            kwh?: number | null;
            litres?: number | null;
            sdAh?: number | null;
            toC?: number | null;
            watts?: number | null;
            wh?: number | null;
        };
        WorldInput: {
            ambientC?: number | null;
            balancer?: components["schemas"]["BalancerInput"] | null;
            bms?: components["schemas"]["BmsLimitsInput"] | null;
            cells: components["schemas"]["SimulatedCellInput"][];
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            seed?: number | null;
            wiring: components["schemas"]["WiringInput"];
        };
        YearAnswer: {
            balanceResidual: number;
            clearSkyKwhPerM2: number[];
            daysEmptyShare: components["schemas"]["Interval"];
            efcPerYear: number;
            generatorHours: number;
            hoursEmpty: number;
            hoursFull: number;
            hoursTooCold: number;
            kwhMissing: number;
            yearsToEnd: components["schemas"]["Interval"] | null;
        };
        YearBatteryInput: {
            cellC?: number[] | null;
            chargeColdC?: number | null;
            /** @enum {string} */
            chemistry: "LFP" | "LTO" | "NMC";
            maxChargeW: number;
            usableWh: number;
        };
        YearRequest: {
            airC?: number[] | null;
            battery: components["schemas"]["YearBatteryInput"];
            fields: components["schemas"]["PanelFieldInput"][];
            generator?: components["schemas"]["GeneratorInput"] | null;
            inverter?: components["schemas"]["InverterInput"] | null;
            latitudeDeg: number;
            loads: components["schemas"]["HourlyInput"][];
            seed?: number | null;
            sources?: components["schemas"]["HourlyInput"][] | null;
            standbyW?: number | null;
            sunHours?: number[] | null;
            years?: number | null;
        };
    };
    responses: {
        /** @description Not readable */
        400: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description No such record */
        404: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description These records follow from others: they are read, not written */
        405: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description The body came too slowly */
        408: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description Changed elsewhere, or in conflict */
        409: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description Body too large */
        413: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description Another content-type is wanted */
        415: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description Input not accepted; `errors` has the path of each bad field */
        422: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
        /** @description The database is away; it is started again */
        503: {
            headers: {
                [name: string]: unknown;
            };
            content: {
                "application/problem+json": components["schemas"]["Problem"];
            };
        };
    };
    parameters: never;
    requestBodies: never;
    headers: never;
    pathItems: never;
}
export type $defs = Record<string, never>;
export type operations = Record<string, never>;
