import { useCallback } from "react";
import { useLocation, useNavigate } from "react-router";

/**
 * Changes what the page's address asks for. It starts from the address as the browser has it: what is drawn may be a step
 * behind, and writing that would put a step Back has just left over the one it led to. For the same reason nothing is written
 * where nothing changes, nor once another page is gone to.
 */
export type WriteAddress = (change: (params: URLSearchParams) => void, how?: { replace?: boolean }) => void;

export const useWriteAddress = (): WriteAddress => {
  const { pathname } = useLocation();
  const navigate = useNavigate();
  return useCallback(
    (change, { replace = true } = {}) => {
      if (window.location.pathname !== pathname) return;
      const params = new URLSearchParams(window.location.search);
      const before = params.toString();
      change(params);
      const search = params.toString();
      if (search !== before) void navigate({ pathname, search }, { replace });
    },
    [pathname, navigate],
  );
};
